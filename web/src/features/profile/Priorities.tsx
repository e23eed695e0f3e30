import type { Priorities as Said } from '@young-oak/core/facts'
import { muscles, takesMax } from '@young-oak/core/library'
import { Choices } from '../../ui/Choices.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { ExerciseList } from './ExerciseList.tsx'
import { useWord } from './useWord.ts'

/** The muscles and lifts that somebody wants most from training. */
export function Priorities({ priorities, member }: { priorities: Said; member: string | undefined }) {
  const library = useLibrary()
  const { said, put } = useWord('priorities', priorities, member)
  return (
    <div className="mt-2 grid gap-2">
      <Choices
        label="Muscles to train first"
        chosen={said.muscles}
        choices={muscles.map((muscle) => [muscle, muscle] as const)}
        onChange={(chosen) => put({ muscles: chosen })}
      />
      <ExerciseList
        label="Lifts to train first"
        exercises={said.lifts}
        most={10}
        fits={(exercise) => takesMax(library, { exercise })}
        onChange={(lifts) => put({ lifts })}
      />
    </div>
  )
}
