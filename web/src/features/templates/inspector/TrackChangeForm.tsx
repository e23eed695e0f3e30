import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { Template } from '@young-oak/core/template'
import {
  changeOf,
  type Change,
  type ChangeName,
  type Adjustment,
  type Where,
} from '@young-oak/core/adjustments'
import {
  findExercises,
  mainMuscle,
  liftName,
  liftOf,
  muscles,
  type ExerciseId,
  type Muscle,
} from '@young-oak/core/library'
import { Button } from '../../../ui/Button.tsx'
import { Field, SelectField } from '../../../ui/Field.tsx'
import { ParamFields } from '../../params/ParamFields.tsx'
import { draftOf, faultsOf, unflatten } from '../../params/paramDraft.ts'
import { mint } from '../mint.ts'
import type { Selected } from './selected.ts'

type Props = { draft: Template; selected: Selected; onPut: (to: Adjustment) => void; onClose: () => void }

/** What a track may change by itself; slots of its own come by "Only in this track". */
const kinds = [
  'scaleLoad',
  'points',
  'scaleSets',
  'rirAtLeast',
  'highReps',
  'drop',
  'swap',
  'fewerDays',
  'rotation',
] as const satisfies readonly ChangeName[]
type Kind = (typeof kinds)[number]
type Place = 'slot' | 'session' | 'lift' | 'muscle' | 'everywhere'

/** A change of a track, and where it acts: on what the keyboard stands on, or wider. */
export function TrackChangeForm({ draft, selected, onPut, onClose }: Props) {
  const library = useLibrary()
  const slot = selected.slot === undefined ? undefined : draft.slots[selected.slot]
  const [kind, setKind] = useState<Kind>('scaleLoad')
  const [typed, setTyped] = useState(() => starterOf('scaleLoad'))
  const [place, setLocation] = useState<Place>(slot ? 'slot' : 'everywhere')
  const [phase, setPhase] = useState('')
  const [weeks, setWeeks] = useState('')
  const [muscle, setMuscle] = useState<Muscle>(slot ? mainMuscle(library, slot) : 'quads')
  const [exercise, setExercise] = useState<{ words: string; id: ExerciseId | null }>({ words: '', id: null })
  const [sessions, setSessions] = useState<string[]>(draft.phases[0]?.rotation ?? [])
  const [faults, setFaults] = useState<Record<string, string>>({})
  const { params } = changeOf[kind]
  const isOfWeek = kind === 'fewerDays' || kind === 'rotation'
  const choose = (next: Kind) => {
    setKind(next)
    setTyped(starterOf(next))
    setFaults({})
  }
  const save = () => {
    const given =
      kind === 'swap'
        ? { exercise: exercise.id ?? undefined }
        : kind === 'rotation'
          ? { ...unflatten(typed), rotation: sessions }
          : unflatten(typed)
    const found = kind === 'swap' || kind === 'rotation' ? {} : faultsOf(params, typed)
    if (kind === 'swap' && !exercise.id) found.exercise = 'Choose an exercise.'
    if (kind === 'rotation' && (!sessions.length || !params.isValidSync(given, { strict: true })))
      found.rotation = 'Choose the sessions, and how many a week.'
    const numbers = weeks
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number)
    if (numbers.some((week) => !Number.isInteger(week) || week < 1))
      found.weeks = 'Weeks like 1, 2, 4; empty for all.'
    setFaults(found)
    if (Object.keys(found).length) return
    const where: Where = {
      ...(phase && { phases: [phase] }),
      ...(numbers.length && { weeks: numbers }),
      ...(!isOfWeek && place === 'slot' && selected.slot !== undefined && { slots: [selected.slot] }),
      ...(!isOfWeek &&
        place === 'session' &&
        selected.session !== undefined && { sessions: [selected.session] }),
      ...(!isOfWeek && place === 'lift' && slot && { lifts: [liftOf(slot)] }),
      ...(!isOfWeek && place === 'muscle' && { muscles: [muscle] }),
    }
    onPut({ id: mint(), do: { kind, ...given } as Change, where })
  }
  return (
    <form
      noValidate
      className="grid grid-cols-2 gap-3 rounded border border-line p-3"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      <SelectField
        label="Kind of change"
        className="col-span-full"
        value={kind}
        onChange={(event) => choose(event.target.value as Kind)}
      >
        {kinds.map((one) => (
          <option key={one} value={one}>
            {changeOf[one].title}
          </option>
        ))}
      </SelectField>
      {kind === 'swap' ? (
        <div className="col-span-full">
          <Field
            label="The other exercise"
            value={exercise.words}
            error={faults.exercise}
            hint={exercise.id ? liftName(library, { exercise: exercise.id }) : 'a name, a muscle, a pattern'}
            onChange={(event) =>
              setExercise({
                words: event.target.value,
                id: event.target.value.trim()
                  ? (findExercises(library, event.target.value)[0] ?? null)
                  : null,
              })
            }
          />
        </div>
      ) : (
        <ParamFields key={kind} kind={changeOf[kind]} typed={typed} faults={faults} onType={setTyped} />
      )}
      {kind === 'rotation' && (
        <Sessions draft={draft} sessions={sessions} error={faults.rotation} onChange={setSessions} />
      )}
      {!isOfWeek && (
        <SelectField
          label="Where"
          className={place === 'muscle' ? '' : 'col-span-full'}
          value={place}
          onChange={(event) => setLocation(event.target.value as Place)}
        >
          {slot && <option value="slot">this slot: {liftName(library, slot)}</option>}
          {slot && (
            <option value="lift">this lift everywhere: {liftName(library, slot).toLowerCase()}</option>
          )}
          {selected.session && (
            <option value="session">the session {draft.sessions[selected.session]?.name}</option>
          )}
          <option value="muscle">exercises of one muscle</option>
          <option value="everywhere">everywhere</option>
        </SelectField>
      )}
      {!isOfWeek && place === 'muscle' && (
        <SelectField
          label="Muscle"
          value={muscle}
          onChange={(event) => setMuscle(event.target.value as Muscle)}
        >
          {muscles.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </SelectField>
      )}
      <SelectField label="Phase" value={phase} onChange={(event) => setPhase(event.target.value)}>
        <option value="">all</option>
        {draft.phases.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      <Field
        label="Weeks of the phase"
        placeholder="all"
        value={weeks}
        error={faults.weeks}
        onChange={(event) => setWeeks(event.target.value)}
      />
      <Button type="submit">Add change</Button>
      <Button look="plain" onClick={onClose}>
        Cancel
      </Button>
    </form>
  )
}

const starterOf = (kind: Kind) => {
  const { params, examples } = changeOf[kind]
  const { rotation: _, ...given } = (examples[0]?.params ?? {}) as { rotation?: string[] }
  const typed = draftOf(params, given)
  return Object.fromEntries(Object.entries(typed).filter(([path]) => !path.startsWith('rotation')))
}

type SessionsProps = { draft: Template; sessions: string[]; error?: string; onChange: (to: string[]) => void }

/** The sessions that the track turns, in their order. */
function Sessions({ draft, sessions, error, onChange }: SessionsProps) {
  return (
    <fieldset className="col-span-full">
      <legend className="text-sm font-medium">Session rotation</legend>
      {Object.entries(draft.sessions).map(([id, { name }]) => (
        <label key={id} className="flex min-h-8 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="accent-leaf"
            checked={sessions.includes(id)}
            onChange={(event) =>
              onChange(event.target.checked ? [...sessions, id] : sessions.filter((one) => one !== id))
            }
          />
          {name}
        </label>
      ))}
      {error && <p className="text-sm text-brick">{error}</p>}
    </fieldset>
  )
}
