import { liftLevels, type LiftLevel } from '@young-oak/core/facts'
import { liftName, liftOfKey, takesMax } from '@young-oak/core/library'
import { Choice } from '../../ui/Choice.tsx'
import { ExercisePicker } from '../library/ExercisePicker.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { useGive } from '../progress/useGive.ts'

const choices = liftLevels.map((level) => [level, level] as const)

type Props = { levels: Record<string, LiftLevel>; member: string | undefined }

/** Lifts in which somebody is further, or less far, than their years of training say. */
export function Levels({ levels, member }: Props) {
  const library = useLibrary()
  const { give } = useGive(member)
  const put = (key: string, level: LiftLevel | '') =>
    void give({ kind: 'level', ...liftOfKey(key), level: level || null }, 'Saved.')
  return (
    <div className="mt-4 grid gap-2">
      <ExercisePicker
        label="A lift whose level differs"
        value=""
        placeholder="Add a lift"
        hint="Novice: grows each session. Intermediate: each week. Advanced: each month or slower."
        fits={(exercise) => takesMax(library, { exercise }) && !levels[exercise]}
        onChoose={(id) => id && put(id, 'novice')}
      />
      {Object.entries(levels).map(([key, level]) => (
        <Choice
          key={key}
          label={liftName(library, liftOfKey(key))}
          value={level}
          choices={choices}
          onChange={(chosen) => put(key, chosen)}
        />
      ))}
    </div>
  )
}
