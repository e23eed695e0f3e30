import { liftKey, liftName, liftOfKey, type Lift } from '@young-oak/core/library'
import { PhoneSelect } from '../../ui/Field.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { useGive } from './useGive.ts'

type Props = { enrolment: string; slot: string; label: string; of: Lift[]; chosen: Lift; member?: string }

/** Which of the exercises that a slot offers is trained: the member chooses, or a writer for them. */
export function ExerciseChoice({ enrolment, slot, label, of, chosen, member }: Props) {
  const library = useLibrary()
  const { give, isBusy } = useGive(member)
  const choose = (key: string) =>
    void give(
      { kind: 'choice', enrolment, slot, ...liftOfKey(key) },
      `${liftName(library, liftOfKey(key))} from the next session on.`,
    )
  return (
    <div className="my-1 max-w-xs">
      <PhoneSelect
        label={label}
        value={liftKey(chosen)}
        disabled={isBusy}
        onChange={({ target }) => choose(target.value)}
      >
        {of.map((lift) => (
          <option key={liftKey(lift)} value={liftKey(lift)}>
            {liftName(library, lift)}
          </option>
        ))}
      </PhoneSelect>
    </div>
  )
}
