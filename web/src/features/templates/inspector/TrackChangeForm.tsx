import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { Template } from '@young-oak/core/template'
import { changeOf, type Adjustment } from '@young-oak/core/adjustments'
import { mainMuscle, liftName, muscles, type ExerciseId, type Muscle } from '@young-oak/core/library'
import { Button } from '../../../ui/Button.tsx'
import { Field, SelectField } from '../../../ui/Field.tsx'
import { ExercisePicker } from '../../library/ExercisePicker.tsx'
import { ParamFields } from '../../params/ParamFields.tsx'
import { mint } from '../mint.ts'
import type { Selected } from './selected.ts'
import {
  isOfWeek,
  readTrackChange,
  starterOf,
  trackChangeKinds,
  type Reach,
  type TrackChangeKind,
} from './trackChange.ts'

type Props = { draft: Template; selected: Selected; onPut: (to: Adjustment) => void; onClose: () => void }

/** A change of a track, and where it acts: on what the keyboard stands on, or wider. */
export function TrackChangeForm({ draft, selected, onPut, onClose }: Props) {
  const library = useLibrary()
  const slot = selected.slot === undefined ? undefined : draft.slots[selected.slot]
  const [kind, setKind] = useState<TrackChangeKind>('scaleLoad')
  const [typed, setTyped] = useState(() => starterOf('scaleLoad'))
  const [reach, setReach] = useState<Reach>(slot ? 'slot' : 'everywhere')
  const [phase, setPhase] = useState('')
  const [weeks, setWeeks] = useState('')
  const [muscle, setMuscle] = useState<Muscle>(slot ? mainMuscle(library, slot) : 'quads')
  const [exercise, setExercise] = useState<ExerciseId | ''>('')
  const [sessions, setSessions] = useState<string[]>(draft.phases[0]?.rotation ?? [])
  const [faults, setFaults] = useState<Record<string, string>>({})
  const isWhole = isOfWeek(kind)
  const choose = (next: TrackChangeKind) => {
    setKind(next)
    setTyped(starterOf(next))
    setFaults({})
  }
  const save = () => {
    const given = { kind, typed, exercise: exercise || null, sessions, reach, phase, weeks, muscle }
    const read = readTrackChange(draft, selected, given)
    setFaults(read.faults)
    if (read.change) onPut({ id: mint(), ...read.change })
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
        onChange={(event) => choose(event.target.value as TrackChangeKind)}
      >
        {trackChangeKinds.map((one) => (
          <option key={one} value={one}>
            {changeOf[one].title}
          </option>
        ))}
      </SelectField>
      {kind === 'swap' ? (
        <div className="col-span-full">
          <ExercisePicker
            label="Other exercise"
            placeholder="choose an exercise"
            value={exercise}
            error={faults.exercise}
            fits={(id) => id !== slot?.exercise}
            onChoose={setExercise}
          />
        </div>
      ) : (
        <ParamFields key={kind} kind={changeOf[kind]} typed={typed} faults={faults} onType={setTyped} />
      )}
      {kind === 'rotation' && (
        <Sessions draft={draft} sessions={sessions} error={faults.rotation} onChange={setSessions} />
      )}
      {!isWhole && (
        <SelectField
          label="Where"
          className={reach === 'muscle' ? '' : 'col-span-full'}
          value={reach}
          onChange={(event) => setReach(event.target.value as Reach)}
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
      {!isWhole && reach === 'muscle' && (
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
