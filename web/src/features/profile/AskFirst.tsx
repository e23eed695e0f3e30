import { askFirstReasons, type AskFirst as Said } from '@young-oak/core/facts'
import { Choices } from '../../ui/Choices.tsx'
import { Mark } from '../../ui/Mark.tsx'
import { useWord } from './useWord.ts'

const choices = askFirstReasons.map((reason) => [reason, reason] as const)

/** What asks for a licensed professional before training: a caution, never a diagnosis. */
export function AskFirst({ said: known, member }: { said: Said; member: string | undefined }) {
  const { said, put } = useWord('askFirst', known, member)
  return (
    <section aria-label="Before training" className="mt-6 rounded bg-acorn-wash px-3 py-2">
      <p className="text-acorn">
        New to lifting, coming back to it, pregnant, on medication, or with a condition, an injury or pain:
        see a licensed professional before the first session.
      </p>
      <Choices
        label="Any of these (optional)"
        chosen={said.reasons}
        choices={choices}
        onChange={(reasons) => put({ reasons, isCleared: false })}
      />
      {said.reasons.length > 0 && (
        <Mark
          label="A licensed professional has said that training is fine"
          isOn={said.isCleared}
          onChange={(isCleared) => put({ isCleared })}
        />
      )}
    </section>
  )
}
