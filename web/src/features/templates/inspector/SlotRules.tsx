import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import { exerciseOf, liftName, type Library } from '@young-oak/core/library'
import { ruleKinds, ruleOf, type RuleKind } from '@young-oak/core/progressions'
import {
  checkCommand,
  isLighterUse,
  sayIssue,
  type Command,
  type Slot,
  type SlotRotation,
  type Template,
  type Use,
} from '@young-oak/core/template'
import { ExercisePicker } from '../../library/ExercisePicker.tsx'
import { useAppDispatch } from '../../../app/store.ts'
import { Alert } from '../../../ui/Alert.tsx'
import { Button } from '../../../ui/Button.tsx'
import { optionsOf, SelectField } from '../../../ui/Select.tsx'
import { edit } from '../editorSlice.ts'
import { mint } from '../mint.ts'
import { RoleFields } from './RoleFields.tsx'
import { SavedField } from './SavedField.tsx'
import { StageSets } from './StageSets.tsx'
import {
  placesAWeek,
  setFull,
  setRole,
  setTurns,
  stopUsing,
  withKnown,
  withNew,
  writtenOver,
} from './slotRules.ts'

type Props = { draft: Template; slotId: string; slot: Slot }
type PartProps = Props & { put: (command: Command | null) => void }

/** The rules that a slot follows, with its role in each; others that it may follow; and the lifts that take it in turn. */
export function SlotRules({ draft, slotId, slot }: Props) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [fault, setFault] = useState<string | null>(null)
  const put = (command: Command | null) => {
    const [issue] = command ? checkCommand(library, draft, command) : []
    setFault(issue ? sayIssue(library, draft, issue) : null)
    if (command && !issue) dispatch(edit(command))
  }
  return (
    <div className="grid gap-4">
      <Uses draft={draft} slotId={slotId} slot={slot} put={put} />
      <Alert>{fault}</Alert>
      <MoreRules draft={draft} slotId={slotId} slot={slot} put={put} />
      {!slot.circuit && <Turns slot={slot} onPut={(turns) => put(setTurns(draft, slotId, turns))} />}
    </div>
  )
}

/** The progressions that a slot uses, and its role in each. */
function Uses({ draft, slotId, slot, put }: PartProps) {
  return (
    <ul className="grid gap-3 text-sm">
      {slot.uses.length === 0 && <li className="text-bark">No progression: loads are as written.</li>}
      {slot.uses.map((use) => {
        const { progression, role } = use
        const stage = draft.progressions[progression]?.stages[0]
        if (!stage) return null
        const { roles, title } = ruleOf[stage.rule]
        return (
          <li key={progression} className="border-b border-line pb-2">
            <p>{title}</p>
            <p className="mt-1 flex flex-wrap items-center gap-3">
              {roles.length > 1 && (
                <RoleFields
                  roles={roles}
                  role={role}
                  places={placesAWeek(draft, slotId)}
                  onChange={(to) => put(setRole(draft, slotId, progression, to))}
                />
              )}
              <Button
                look="quiet"
                className="-ml-3.5 min-h-0"
                onClick={() => put(stopUsing(draft, slotId, progression))}
              >
                Stop using {title}
              </Button>
            </p>
            {draft.progressions[progression]?.stages.slice(1).map((later) => (
              <StageSets
                key={later.id}
                draft={draft}
                slotId={slotId}
                slot={slot}
                use={use}
                stage={later}
                put={put}
              />
            ))}
            {isBelowAnother(draft, slotId, use) && (
              <label className="mt-1 flex items-center gap-2">
                <input
                  type="checkbox"
                  checked={use.full === true}
                  onChange={({ target }) => put(setFull(draft, slotId, progression, target.checked))}
                />
                Full exposure: hits and misses here count for the progression. If not: the load follows its
                main sets.
              </label>
            )}
          </li>
        )
      })}
    </ul>
  )
}

/** Whether the slot is at a lower percentage of its progression than another one, in some phase. */
function isBelowAnother(draft: Template, slotId: string, use: Use): boolean {
  const { full: _, ...rest } = use
  return draft.phases.some(({ id }) => isLighterUse(draft, id, slotId, rest))
}

/** Another progression for the slot: a new one, or one that the template has already. */
function MoreRules({ draft, slotId, slot, put }: PartProps) {
  const library = useLibrary()
  const [kind, setKind] = useState<RuleKind>('linear')
  const others = Object.keys(draft.progressions).filter(
    (id) => !slot.uses.some(({ progression }) => progression === id),
  )
  const [known, setKnown] = useState(others[0] ?? '')
  const lost = writtenOver(library, slot, kind)
  return (
    <div className="grid grid-cols-[1fr_auto] items-end gap-3">
      <SelectField
        label="New progression"
        value={kind}
        options={ruleKinds.map((one) => [one, ruleOf[one].title])}
        onChoose={setKind}
      />
      <Button look="plain" className="min-h-11" onClick={() => put(withNew(draft, slotId, kind, mint))}>
        Add {ruleOf[kind].title}
      </Button>
      {lost.length > 0 && (
        <p className="col-span-2 text-sm text-bark">
          {ruleOf[kind].title} replaces {lost.slice(0, 6).join(', ')}
          {lost.length > 6 && ` and ${lost.length - 6} more`}.
        </p>
      )}
      {others.length > 0 && (
        <>
          <SelectField
            label="Use an existing progression"
            value={others.includes(known) ? known : (others[0] ?? '')}
            options={others.map((id) => [id, nameOf(library, draft, id)])}
            onChoose={setKnown}
          />
          <Button
            look="plain"
            className="min-h-11"
            onClick={() => put(withKnown(draft, slotId, others.includes(known) ? known : (others[0] ?? '')))}
          >
            Use this progression
          </Button>
        </>
      )}
    </div>
  )
}

const nameOf = (library: Library, { slots, progressions }: Template, id: string): string => {
  const lifts = Object.values(slots).filter(({ uses }) => uses.some(({ progression }) => progression === id))
  const stage = progressions[id]?.stages[0]
  return `${[...new Set(lifts.map((slot) => liftName(library, slot)))].join(', ')}: ${stage ? ruleOf[stage.rule].title : ''}`
}

const clockWords: Record<SlotRotation['by'], string> = {
  week: 'weeks of the phase',
  day: 'days of the week',
  phase: 'phases',
  exposure: 'exposures',
}

function Turns({ slot, onPut }: { slot: Slot; onPut: (turns: SlotRotation | null) => void }) {
  const library = useLibrary()
  const turns: SlotRotation = slot.rotation ?? { with: [], by: 'week', every: 3 }
  return (
    <fieldset className="grid gap-3 border-t border-line pt-3">
      <legend className="text-sm font-medium">Exercises that alternate</legend>
      {turns.with.map((lift, i) => (
        <p key={liftName(library, lift)} className="flex items-center gap-3 text-sm">
          <span className="grow">{liftName(library, lift)}</span>
          <Button
            look="quiet"
            className="min-h-0"
            onClick={() => onPut({ ...turns, with: turns.with.filter((_, j) => j !== i) })}
          >
            Remove from the rotation
          </Button>
        </p>
      ))}
      <ExercisePicker
        label="Add an exercise to the rotation"
        placeholder="choose a lift"
        value=""
        fits={(exercise) =>
          exerciseOf(library, { exercise }).tool === exerciseOf(library, slot).tool &&
          exercise !== slot.exercise
        }
        onChoose={(exercise) => exercise && onPut({ ...turns, with: [...turns.with, { exercise }] })}
      />
      <SavedField
        key={turns.with.length}
        label={`Add a variant of ${liftName(library, { exercise: slot.exercise })} to the rotation`}
        hint="A grip, an angle, a range: with its own max and progress."
        value=""
        onSave={(typed) => {
          const variant = typed.slice(0, 60)
          const isThere = [slot, ...turns.with].some(
            (one) => one.exercise === slot.exercise && one.variant === variant,
          )
          if (isThere) return 'It is in the rotation already.'
          onPut({ ...turns, with: [...turns.with, { exercise: slot.exercise, variant }] })
          return undefined
        }}
      />
      {turns.with.length > 0 && (
        <div className="grid grid-cols-2 gap-3">
          <SelectField
            label="Change after every"
            value={String(turns.every)}
            options={Array.from({ length: 12 }, (_, i) => [String(i + 1), String(i + 1)])}
            onChoose={(every) => onPut({ ...turns, every: Number(every) })}
          />
          <SelectField
            label="Counted in"
            value={turns.by}
            options={optionsOf(clockWords)}
            onChoose={(by) => onPut({ ...turns, by })}
          />
        </div>
      )}
    </fieldset>
  )
}
