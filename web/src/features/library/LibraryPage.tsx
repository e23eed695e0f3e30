import { useDeferredValue, useState } from 'react'
import {
  exerciseOf,
  findExercises,
  liftName,
  muscles,
  patterns,
  saySuits,
  type ExerciseId,
} from '@young-oak/core/library'
import { SelectField } from '../../ui/Field.tsx'
import { sentence } from '../../ui/Why.tsx'

/** Every exercise that templates may use: found by any word, a muscle or a pattern, each with what is said of it. */
export default function LibraryPage() {
  const [typed, setTyped] = useState('')
  const [pattern, setPattern] = useState('')
  const [muscle, setMuscle] = useState('')
  const [open, setOpen] = useState<ExerciseId | null>(null)
  const words = useDeferredValue(typed)
  const found = findExercises(words).filter((id) => {
    const one = exerciseOf({ exercise: id })
    const works = [...one.direct, ...one.indirect] as string[]
    return (!pattern || one.pattern === pattern) && (!muscle || works.includes(muscle))
  })
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-6">
      <h1 className="text-3xl">Exercises</h1>
      <div className="mt-4 grid items-end gap-3 sm:grid-cols-[1fr_12rem_12rem]">
        <label className="text-sm font-medium">
          Find
          <input
            type="search"
            placeholder="a name, a muscle, a pattern, a tool"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            className="mt-1 block min-h-11 w-full rounded-md border border-edge bg-sheet px-3 text-base font-normal"
          />
        </label>
        <SelectField label="Pattern" value={pattern} onChange={(event) => setPattern(event.target.value)}>
          <option value="">any</option>
          {patterns.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </SelectField>
        <SelectField label="Muscle" value={muscle} onChange={(event) => setMuscle(event.target.value)}>
          <option value="">any</option>
          {muscles.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </SelectField>
      </div>
      <p role="status" className="mt-3 text-sm text-bark">
        {found.length} {found.length === 1 ? 'exercise' : 'exercises'}
      </p>
      {found.length === 0 && (
        <p className="py-4 text-bark">None fits. Leave out a word, or choose any pattern.</p>
      )}
      <ul className="mt-1 divide-y divide-line border-y border-line">
        {found.map((id) => (
          <Entry
            key={id}
            id={id}
            isOpen={open === id}
            onOpen={() => setOpen(open === id ? null : id)}
            onFind={setOpen}
          />
        ))}
      </ul>
    </main>
  )
}

type EntryProps = { id: ExerciseId; isOpen: boolean; onOpen: () => void; onFind: (id: ExerciseId) => void }

function Entry({ id, isOpen, onOpen, onFind }: EntryProps) {
  const {
    name,
    pattern,
    direct,
    indirect,
    tool,
    reads,
    cost,
    spine,
    cue,
    caution,
    parent,
    substitutes = [],
  } = exerciseOf({ exercise: id })
  const suits = saySuits(exerciseOf({ exercise: id }))
  return (
    <li>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={onOpen}
        className="grid w-full items-baseline gap-x-4 py-2 text-left hover:bg-leaf-wash sm:grid-cols-[16rem_9rem_1fr]"
      >
        <span className="font-medium">{name}</span>
        <span className="text-sm text-bark">{pattern}</span>
        <span className="text-sm text-bark">
          {direct.join(', ')}
          {indirect.length > 0 && `; half: ${indirect.join(', ')}`}
        </span>
      </button>
      {isOpen && (
        <div className="grid gap-1 pb-3 text-sm sm:pl-4">
          <p>{cue}</p>
          {caution && <p className="text-acorn">{caution}</p>}
          <p className="text-bark">
            {sentence(tool)}; the number is {reads}.{suits && ` Suits ${suits}.`} Recovery {cost} of 5, spine{' '}
            {spine} of 5.
            {parent &&
              ` Begins at ${parent.percent}% of the ${liftName({ exercise: parent.exercise as ExerciseId }).toLowerCase()} max.`}
          </p>
          <p className="text-bark">
            Instead:{' '}
            {substitutes.map((one, i) => (
              <span key={one}>
                {i > 0 && ', '}
                <button
                  type="button"
                  className="underline underline-offset-4 hover:text-leaf"
                  onClick={() => onFind(one as ExerciseId)}
                >
                  {liftName({ exercise: one as ExerciseId })}
                </button>
              </span>
            ))}
          </p>
        </div>
      )}
    </li>
  )
}
