import { useLibrary } from './useLibrary.ts'
import {
  exerciseOf,
  isOwnId,
  liftName,
  saySuits,
  type ExerciseId,
  readingWords,
} from '@young-oak/core/library'
import { Button } from '../../ui/Button.tsx'
import { sentence } from '../../ui/sentence.ts'

type Props = {
  id: ExerciseId
  isOpen: boolean
  onOpen: () => void
  onFind: (id: ExerciseId) => void
  /** What may be done with one of the gym's own. */
  acts?: { change: () => void; merge: () => void }
}

/** An exercise in the list, and once it is opened what is said of it. */
export function Entry({ id, isOpen, onOpen, onFind, acts }: Props) {
  const library = useLibrary()
  const { name, pattern, direct, indirect } = exerciseOf(library, { exercise: id })
  return (
    <li>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={onOpen}
        className="grid w-full items-baseline gap-x-4 py-2 text-left hover:bg-leaf-wash sm:grid-cols-[16rem_9rem_1fr]"
      >
        <span className="font-medium">
          {name}
          {isOwnId(id) && (
            <span className="ml-2 text-sm font-normal whitespace-nowrap text-leaf">our own</span>
          )}
        </span>
        <span className="text-sm text-bark">{pattern}</span>
        <span className="text-sm text-bark">
          {direct.join(', ')}
          {indirect.length > 0 && `; half: ${indirect.join(', ')}`}
        </span>
      </button>
      {isOpen && <Said id={id} onFind={onFind} acts={acts} />}
    </li>
  )
}

/** What is said of an exercise: how it is done, what it costs, what it is a variation of, what replaces it. */
function Said({ id, onFind, acts }: Pick<Props, 'id' | 'onFind' | 'acts'>) {
  const library = useLibrary()
  const own = exerciseOf(library, { exercise: id })
  const { tool, reads, cost, spine, cue, caution, parent, substitutes = [] } = own
  const suits = saySuits(own)
  return (
    <div className="grid gap-1 pb-3 text-sm sm:pl-4">
      <p>{cue}</p>
      {caution && <p className="text-acorn">{caution}</p>}
      <p className="text-bark">
        {sentence(tool)}; {readingWords[reads]}.{suits && ` Suits ${suits}.`} Recovery cost {cost} of 5, spine
        load {spine} of 5.
        {parent &&
          ` Begins at ${parent.percent}% of the ${liftName(library, { exercise: parent.exercise as ExerciseId }).toLowerCase()} max.`}
      </p>
      {substitutes.length > 0 && (
        <p className="text-bark">
          Substitutes:{' '}
          {substitutes.map((one, i) => (
            <span key={one}>
              {i > 0 && ', '}
              <button
                type="button"
                className="underline underline-offset-4 hover:text-leaf"
                onClick={() => onFind(one as ExerciseId)}
              >
                {liftName(library, { exercise: one as ExerciseId })}
              </button>
            </span>
          ))}
        </p>
      )}
      {acts && (
        <p className="flex gap-2 pt-1">
          <Button look="plain" onClick={acts.change}>
            Change…
          </Button>
          <Button look="plain" onClick={acts.merge}>
            Merge into another…
          </Button>
        </p>
      )}
    </div>
  )
}
