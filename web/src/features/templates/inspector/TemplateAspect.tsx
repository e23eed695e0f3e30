import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import { replaceExercise } from '@young-oak/core/editing'
import {
  exerciseOf,
  findExercises,
  liftKey,
  liftName,
  liftOf,
  liftOfKey,
  type Lift,
} from '@young-oak/core/library'
import type { Template } from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { Field } from '../../../ui/Field.tsx'
import { SelectField } from '../../../ui/Select.tsx'
import { Deloads } from './Deloads.tsx'
import { LaterPhases } from './LaterPhases.tsx'
import { LoadSettings } from './LoadSettings.tsx'
import { RuleList } from './RuleList.tsx'
import { usePut } from './usePut.ts'

type Props = { draft: Template; template: string; file: MemberFile }

/** What holds for the whole of a template: its note, its loads, its rules, its deloads, and one exercise in place of another. */
export function TemplateAspect({ draft, template, file }: Props) {
  return (
    <>
      <Note draft={draft} />
      <LoadSettings draft={draft} />
      <RuleList draft={draft} template={template} file={file} />
      <LaterPhases draft={draft} />
      <Deloads draft={draft} />
      <Replace draft={draft} />
    </>
  )
}

function Note({ draft }: { draft: Template }) {
  const { put, fault } = usePut(draft)
  const [typed, setTyped] = useState(draft.note ?? '')
  const [was, setWas] = useState(draft.note)
  if (was !== draft.note) {
    setWas(draft.note)
    setTyped(draft.note ?? '')
  }
  const save = () => {
    const to = typed.trim() || null
    if (to !== (draft.note ?? null)) put({ do: 'setHead', field: 'note', from: draft.note ?? null, to })
  }
  return (
    <label className="text-sm font-medium">
      Purpose, and for whom
      <textarea
        rows={3}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={save}
        className="mt-1 block w-full rounded-md border border-edge bg-sheet p-2 font-normal"
      />
      {fault && <span className="font-normal text-brick">{fault}</span>}
    </label>
  )
}

/** One exercise in place of another across the template: in slots, in circuits, among lifts that take turns. */
function Replace({ draft }: { draft: Template }) {
  const library = useLibrary()
  const { put, fault } = usePut(draft)
  const used = new Map<string, Lift>()
  for (const slot of Object.values(draft.slots)) {
    used.set(liftKey(slot), liftOf(slot))
    for (const { lift } of Object.values(slot.rows).flat(2)) if (lift) used.set(liftKey(lift), lift)
    for (const lift of [...(slot.rotation?.with ?? []), ...(slot.choices ?? [])])
      used.set(liftKey(lift), lift)
  }
  const keys = [...used.keys()].sort((a, b) =>
    liftName(library, liftOfKey(a)).localeCompare(liftName(library, liftOfKey(b))),
  )
  const [chosen, setChosen] = useState('')
  const [typed, setTyped] = useState('')
  const from = used.get(chosen) ?? used.get(keys[0] ?? '')
  if (!from) return null
  const found = typed.trim()
    ? findExercises(library, typed).slice(0, 6)
    : (exerciseOf(library, from).substitutes ?? [])
  return (
    <section aria-label="Replace an exercise" className="grid gap-2">
      <h3 className="text-lg">Replace an exercise</h3>
      <SelectField
        label="Replace"
        value={liftKey(from)}
        options={keys.map((key) => [key, liftName(library, liftOfKey(key))])}
        onChoose={setChosen}
      />
      <Field
        label="With"
        placeholder="a name, a muscle, a pattern"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <ul className="flex flex-wrap gap-1">
        {found.map((id) => {
          const to: Lift = { exercise: id as Lift['exercise'] }
          return (
            <li key={id}>
              <Button
                look="plain"
                className="text-sm"
                onClick={() => put(replaceExercise(library, draft, from, to)) && setTyped('')}
              >
                {liftName(library, to)}
              </Button>
            </li>
          )
        })}
      </ul>
      {typed.trim() && !found.length && <p className="text-sm text-bark">No exercise fits these words.</p>}
      {fault && (
        <p role="alert" className="text-sm text-brick">
          {fault}
        </p>
      )}
    </section>
  )
}
