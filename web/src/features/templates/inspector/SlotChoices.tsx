import { liftKey, liftName, type Lift } from '@young-oak/core/library'
import type { Slot } from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { ExercisePicker } from '../../library/ExercisePicker.tsx'
import { useLibrary } from '../../library/useLibrary.ts'

type Props = { slot: Slot; onPut: (choices: Lift[] | null) => void }

/** Other exercises of which each member may choose one in place of the slot's own. */
export function SlotChoices({ slot, onPut }: Props) {
  const library = useLibrary()
  const choices = slot.choices ?? []
  const put = (lifts: Lift[]) => onPut(lifts.length ? lifts : null)
  return (
    <fieldset className="grid gap-3">
      <legend className="text-sm font-medium">Exercises to choose from</legend>
      <p className="text-bark">
        {choices.length
          ? `Each member trains ${liftName(library, slot)} until they choose another, or you do for them. Its loads come from its own max.`
          : 'Add one or more: each member then trains this exercise or chooses another.'}
      </p>
      {choices.map((lift, i) => (
        <p key={liftKey(lift)} className="flex items-center gap-3">
          <span className="grow">{liftName(library, lift)}</span>
          <Button
            look="quiet"
            className="min-h-0"
            aria-label={`Remove ${liftName(library, lift)} from the choices`}
            onClick={() => put(choices.filter((_, j) => j !== i))}
          >
            Remove
          </Button>
        </p>
      ))}
      <ExercisePicker
        label="Add an exercise to choose"
        placeholder="choose a lift"
        value=""
        fits={(exercise) => exercise !== slot.exercise && !choices.some((one) => one.exercise === exercise)}
        onChoose={(exercise) => exercise && put([...choices, { exercise }])}
      />
    </fieldset>
  )
}
