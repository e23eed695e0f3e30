import { useState } from 'react'
import { liftName } from '@young-oak/core/library'
import { ruleKinds, ruleOf, type RuleKind, type Stage } from '@young-oak/core/progressions'
import { formatIssue } from '@young-oak/core/reading'
import { signOf } from '@young-oak/core/signs'
import { checkCommand, type Command, type RuleOfStage, type Template } from '@young-oak/core/template'
import { ValidationError } from 'yup'
import { useAppDispatch } from '../../app/store.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectField } from '../../ui/Field.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { edit } from './editorSlice.ts'
import { fieldOf, flatten, labelOf, listsOf, paramsFor, resizeList, unflatten } from './ruleDraft.ts'

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
            draft={draft}
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

/** A rule's numbers as fields, drawn from the parameters that it has; another rule may be put in its place. */
function ParamsForm({
  draft,
  progression,
  stage,
  onClose,
}: {
  draft: Template
  progression: string
  stage: Stage
  onClose: () => void
}) {
  const dispatch = useAppDispatch()
  const [rule, setRule] = useState<RuleKind>(stage.rule)
  const [typed, setTyped] = useState(() => flatten(stage.params))
  const [errors, setErrors] = useState<Record<string, string>>({})
  const to = unflatten(typed)
  const { params } = ruleOf[rule]
  const choose = (kind: RuleKind) => {
    setRule(kind)
    setTyped(flatten(paramsFor(kind, stage)))
    setErrors({})
  }
  const save = () => {
    try {
      params.validateSync(to, { strict: true, abortEarly: false })
    } catch (error) {
      if (!ValidationError.isError(error)) throw error
      const inner = error.inner.length ? error.inner : [error]
      return setErrors(Object.fromEntries(inner.map(({ path, message }) => [fieldOf(path), message])))
    }
    const at = { progression, stage: stage.id }
    const own = { rule: stage.rule, params: stage.params }
    const command: Command =
      rule === stage.rule
        ? { do: 'setParams', ...at, from: stage.params, to: to as Stage['params'] }
        : { do: 'setRule', ...at, from: own, to: { rule, params: to } as RuleOfStage }
    const [issue] = checkCommand(draft, command)
    if (issue) return setErrors({ '': formatIssue(issue) })
    if (rule !== stage.rule || JSON.stringify(to) !== JSON.stringify(stage.params)) dispatch(edit(command))
    onClose()
  }
  const elsewhere = Object.entries(errors).filter(([path]) => !(path in typed))
  return (
    <form
      className="grid grid-cols-2 gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      <SelectField
        label="Rule"
        className="col-span-2"
        value={rule}
        hint={
          rule === stage.rule
            ? undefined
            : 'Numbers that both rules have are kept; the others are an example’s. Start last is the percent of its last load that the lift goes on with; empty, it starts afresh.'
        }
        onChange={(event) => choose(event.target.value as RuleKind)}
      >
        {ruleKinds.map((kind) => (
          <option key={kind} value={kind}>
            {ruleOf[kind].title}
          </option>
        ))}
      </SelectField>
      <p className="col-span-2 text-sm text-bark">
        {params.isValidSync(to, { strict: true })
          ? ruleOf[rule].sentence(to)
          : 'Not a rule yet: Keep says what is missing.'}
      </p>
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
      {Object.entries(listsOf(typed)).map(([list, count]) => (
        <p key={list} className="col-span-2 flex flex-wrap items-center gap-2 text-sm text-bark">
          {labelOf(list)}: {count}
          <Button look="plain" onClick={() => setTyped(resizeList(typed, list, 1))}>
            One more
          </Button>
          <Button look="plain" disabled={count < 2} onClick={() => setTyped(resizeList(typed, list, -1))}>
            One less
          </Button>
        </p>
      ))}
      {elsewhere.map(([path, message]) => (
        <p key={path} role="alert" className="col-span-2 text-brick">
          {message}
        </p>
      ))}
      <Button type="submit" className="col-span-2">
        Keep
      </Button>
    </form>
  )
}
