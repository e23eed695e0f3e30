import { useTitle } from '../../app/useTitle.ts'
import { useLibrary } from './useLibrary.ts'
import { useDeferredValue, useState } from 'react'
import {
  exerciseOf,
  findExercises,
  isOwnId,
  muscles,
  patterns,
  type ExerciseId,
  type OwnExercise,
  type OwnId,
} from '@young-oak/core/library'
import { api } from '../../app/api.ts'
import { useAppSelector } from '../../app/store.ts'
import { Button } from '../../ui/Button.tsx'
import { asSaid, SelectField, type Option } from '../../ui/Select.tsx'
import { ExerciseForm } from './ExerciseForm.tsx'
import { Merged } from './Merged.tsx'
import { MergeDialog } from './MergeDialog.tsx'
import { Entry } from './Entry.tsx'

/** One of some words, or any of them. */
const anyOf = (words: readonly string[]): Option<string>[] => [['', 'any'], ...asSaid(words)]

/** Every exercise that templates may use: found by any word, a muscle or a pattern, each with what is said of it. */
export default function LibraryPage() {
  useTitle('Exercises')
  const [asked, setAsked] = useState(anything)
  const [open, setOpen] = useState<ExerciseId | null>(null)
  const [dialog, setDialog] = useState<Dialog | null>(null)
  const own = useAppSelector(({ library }) => library.exercises)
  const { data: session } = api.useSessionQuery()
  const isStaff = session?.seat?.kind !== 'member'
  const found = useFound(asked)
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-6">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Exercises</h1>
        {isStaff && <Button onClick={() => setDialog({ do: 'add' })}>Add an exercise</Button>}
      </div>
      <Filters asked={asked} onAsk={(change) => setAsked({ ...asked, ...change })} />
      <p role="status" className="mt-3 text-sm text-bark">
        {found.length} {found.length === 1 ? 'exercise' : 'exercises'}
      </p>
      {found.length === 0 && (
        <p className="py-4 text-bark">
          {asked.whose === 'own' && !Object.keys(own).length
            ? 'Your gym has no own exercises yet. Add what the library does not have.'
            : 'No exercise fits. Remove a word, or choose any pattern.'}
        </p>
      )}
      <ul className="mt-1 divide-y divide-line border-y border-line">
        {found.map((id) => (
          <Entry
            key={id}
            id={id}
            isOpen={open === id}
            onOpen={() => setOpen(open === id ? null : id)}
            onFind={setOpen}
            acts={isStaff && isOwnId(id) && own[id] ? actsFor(id, own[id], setDialog) : undefined}
          />
        ))}
      </ul>
      <Merged exercises={own} isStaff={isStaff} />
      {dialog?.do === 'add' && <ExerciseForm name={asked.typed.trim()} onClose={() => setDialog(null)} />}
      {dialog?.do === 'change' && <ExerciseForm own={dialog} onClose={() => setDialog(null)} />}
      {dialog?.do === 'merge' && (
        <MergeDialog id={dialog.id} exercise={dialog.exercise} onClose={() => setDialog(null)} />
      )}
    </main>
  )
}

const anything = { typed: '', pattern: '', muscle: '', whose: '' }
type Asked = typeof anything

/** The exercises that have the words, the pattern and the muscle that are asked for. */
function useFound({ typed, pattern, muscle, whose }: Asked): ExerciseId[] {
  const library = useLibrary()
  const words = useDeferredValue(typed)
  return findExercises(library, words).filter((id) => {
    const one = exerciseOf(library, { exercise: id })
    const works = [...one.direct, ...one.indirect] as string[]
    if (whose === 'own' && !isOwnId(id)) return false
    return (!pattern || one.pattern === pattern) && (!muscle || works.includes(muscle))
  })
}

type FilterProps = { asked: Asked; onAsk: (change: Partial<Asked>) => void }

const Filters = ({ asked: { typed, pattern, muscle, whose }, onAsk }: FilterProps) => (
  <div className="mt-4 grid items-end gap-3 sm:grid-cols-[1fr_10rem_10rem_11rem]">
    <label className="text-sm font-medium">
      Find
      <input
        type="search"
        placeholder="a name, a muscle, a pattern, a tool"
        value={typed}
        onChange={(event) => onAsk({ typed: event.target.value })}
        className="mt-1 block min-h-11 w-full rounded-md border border-edge bg-sheet px-3 text-base font-normal"
      />
    </label>
    <SelectField
      label="Pattern"
      value={pattern}
      options={anyOf(patterns)}
      onChoose={(to) => onAsk({ pattern: to })}
    />
    <SelectField
      label="Muscle"
      value={muscle}
      options={anyOf(muscles)}
      onChoose={(to) => onAsk({ muscle: to })}
    />
    <SelectField
      label="Whose"
      value={whose}
      options={[
        ['', 'everybody’s'],
        ['own', 'our own'],
      ]}
      onChoose={(to) => onAsk({ whose: to })}
    />
  </div>
)

type Dialog = { do: 'add' } | { do: 'change' | 'merge'; id: OwnId; exercise: OwnExercise }

const actsFor = (id: OwnId, exercise: OwnExercise, open: (dialog: Dialog) => void) => ({
  change: () => open({ do: 'change', id, exercise }),
  merge: () => open({ do: 'merge', id, exercise }),
})
