import { useLibrary } from '../library/useLibrary.ts'
import { liftName } from '@young-oak/core/library'
import type { SetLog, ShownSets } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'
import { formatLoad, lowest, partsFor, type Makeable } from '@young-oak/core/units'
import { Button } from '../../ui/Button.tsx'
import { firstTry, isTry, type AskedSet } from './askedSets.ts'
import { foundSoFar, usualRir } from './foundSoFar.ts'
import { PlatePicture } from './PlatePicture.tsx'
import type { Result } from './setDraft.ts'

type Props = {
  slot: PlannedSlot
  prescribed: ShownSets
  sets: SetLog[]
  can: Makeable
  onTry: (asked: AskedSet, result: Result) => void
}

/** The next set on the way up to a load that nobody knows, and how many more there would have been. */
export default function FindLoadWay({ slot, prescribed, sets, can, onTry }: Props) {
  const library = useLibrary()
  const { load } = foundSoFar(prescribed, sets, can)
  const reps = lowest(prescribed.reps ?? 5)
  const asked = prescribed.rir ?? usualRir
  const parts = partsFor(load, can)
  const count = sets.filter(isTry).length
  const log = (felt: number) =>
    onTry(
      { n: firstTry + count, prescribed, isPlus: false, isFree: false },
      { state: 'done', load, reps, rir: felt },
    )
  return (
    <section
      className="my-2 rounded-lg border border-line bg-sheet p-4"
      aria-label={`Find a load for ${liftName(library, slot)}`}
    >
      <p className="text-sm text-bark">
        Step {count + 1}: do {reps} easy, good reps, then say how many more you could have done. Rest, and go
        on until you could do only about {asked} more.
      </p>
      <p className="mt-1 font-serif text-4xl font-semibold">
        {formatLoad(load)} × {reps}
      </p>
      {parts?.bar !== undefined && <PlatePicture side={parts.plates} bar={parts.bar} unit={load.unit} />}
      <fieldset className="mt-3">
        <legend className="mb-1 text-sm font-medium">How many more could you have done?</legend>
        <div className="grid grid-cols-4 gap-2">
          {[8, 5, 4, 3, 2, 1, 0].map((felt) => (
            <Button key={felt} look="plain" className="min-h-13" onClick={() => log(felt)}>
              {felt === 8 ? '8 or more' : felt === 5 ? '5 to 7' : felt}
            </Button>
          ))}
        </div>
      </fieldset>
      <p className="mt-3 text-sm text-bark">
        Collars on, and a spotter or safety bars. Not sure of the movement, new to it, ill or in pain: stop at
        a light load and ask your coach.
      </p>
    </section>
  )
}
