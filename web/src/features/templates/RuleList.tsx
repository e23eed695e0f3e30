import { useState } from 'react'
import { liftName } from '@young-oak/core/library'
import { ruleOf, type Stage } from '@young-oak/core/progressions'
import { signOf } from '@young-oak/core/signs'
import type { Template } from '@young-oak/core/template'
import { ValidationError } from 'yup'
import { useAppDispatch } from '../../app/store.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { edit } from './editorSlice.ts'

/** The rules of the template as plain sentences, each with the slots that feed it and the stages that follow one another. */
export function RuleList({ draft }: { draft: Template }) {
  const [open, setOpen] = useState<{ id: string; stage: string } | null>(null)
  const progressions = Object.entries(draft.progressions)
  if (!progressions.length) return null
  const stage = open && draft.progressions[open.id]?.stages.find(({ id }) => id === open.stage)
  return (
    <section aria-label="Progressions" className="border-t border-line pt-3">
      <h2 className="text-lg">Progressions</h2>
      <ul className="mt-1 grid gap-1 text-sm">
        {progressions.map(([id, { stages }]) => (
          <li key={id} className="grid items-baseline gap-x-4 sm:grid-cols-[11rem_1fr]">
            <span className="font-medium">{liftsOf(draft, id)}</span>
            <div>
              {stages.map(({ id: stageId, rule, params, until }) => (
                <p key={stageId} className="text-bark">
                  {ruleOf[rule].sentence(params)}{' '}
                  {until && `The lift goes on ${signOf[until.sign].sentence(until)}. `}
                  <Button look="quiet" className="min-h-0" onClick={() => setOpen({ id, stage: stageId })}>
                    Change
                  </Button>
                </p>
              ))}
            </div>
          </li>
        ))}
      </ul>
      {open && stage && (
        <Modal
          title={liftsOf(draft, open.id)}
          about="Changes act from the next version on."
          isOpen
          onClose={() => setOpen(null)}
        >
          <ParamsForm
            key={`${open.id}/${open.stage}`}
            progression={open.id}
            stage={stage}
            onClose={() => setOpen(null)}
          />
        </Modal>
      )}
    </section>
  )
}

const liftsOf = (draft: Template, id: string): string => {
  const names = Object.values(draft.slots)
    .filter(({ follows }) => follows.some(({ progression }) => progression === id))
    .map(liftName)
  return [...new Set(names)].join(', ')
}

/** A rule's numbers as fields, drawn from the parameters that it has. */
function ParamsForm({
  progression,
  stage,
  onClose,
}: {
  progression: string
  stage: Stage
  onClose: () => void
}) {
  const dispatch = useAppDispatch()
  const [typed, setTyped] = useState(() => flatten(stage.params))
  const [errors, setErrors] = useState<Record<string, string>>({})
  const save = () => {
    const to = unflatten(typed)
    try {
      ruleOf[stage.rule].params.validateSync(to, { strict: true, abortEarly: false })
    } catch (error) {
      if (!ValidationError.isError(error)) throw error
      const inner = error.inner.length ? error.inner : [error]
      return setErrors(Object.fromEntries(inner.map(({ path, message }) => [path ?? '', message])))
    }
    if (JSON.stringify(to) !== JSON.stringify(stage.params))
      dispatch(
        edit({
          do: 'setParams',
          progression,
          stage: stage.id,
          from: stage.params,
          to: to as Stage['params'],
        }),
      )
    onClose()
  }
  return (
    <form
      className="grid grid-cols-2 gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      {Object.entries(typed).map(([path, value]) => (
        <Field
          key={path}
          label={labelOf(path)}
          inputMode="decimal"
          value={value}
          error={errors[path]}
          onChange={(event) => setTyped({ ...typed, [path]: event.target.value })}
        />
      ))}
      {errors[''] && <p className="col-span-2 text-brick">{errors['']}</p>}
      <Button type="submit" className="col-span-2">
        Keep
      </Button>
    </form>
  )
}

function flatten(value: object, before = ''): Record<string, string> {
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, inner]) =>
      typeof inner === 'object' && inner !== null
        ? Object.entries(flatten(inner, `${before}${key}.`))
        : [[`${before}${key}`, String(inner)]],
    ),
  )
}

function unflatten(flat: Record<string, string>): object {
  const made: Record<string, unknown> = {}
  for (const [path, text] of Object.entries(flat)) {
    const keys = path.split('.')
    const last = keys.pop() as string
    const parent = keys.reduce<Record<string, unknown>>(
      (at, key) => (at[key] ??= {}) as Record<string, unknown>,
      made,
    )
    const number = Number(text.replace(',', '.'))
    parent[last] = text.trim() === '' || Number.isNaN(number) ? text : number
  }
  return made
}

/** "step.kg" is "Step, kg"; "missesToReset" is "Misses to reset". */
function labelOf(path: string): string {
  const words = path.replace('.', ', ').replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)
  return words.charAt(0).toUpperCase() + words.slice(1)
}
