import type { SetLog, ShownSets } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'
import { formatLoad, lowest, type Makeable } from '@young-oak/core/units'
import { Button } from '../../ui/Button.tsx'
import type { AskedSet } from './askedSets.ts'
import { foundSoFar, usualRir } from './foundSoFar.ts'
import { FindLoadWay } from './later.ts'
import type { Result } from './setDraft.ts'

type Props = {
  slot: PlannedSlot
  prescribed: ShownSets
  sets: SetLog[]
  can: Makeable
  onTry: (asked: AskedSet, result: Result) => void
  onOpen: () => void
  isOpen: boolean
  /** There is a load, of a max that is too old to trust. */
  isAnew: boolean
}

/** A guided way up to a load that nobody knows: one set after the other, and how many more there would have been. */
export function FindLoad({ slot, prescribed, sets, can, onTry, onOpen, isOpen, isAnew }: Props) {
  const { load, isFound } = foundSoFar(prescribed, sets, can)
  if (!isOpen)
    return (
      <Button size="thumb" look={isAnew ? 'plain' : 'main'} className="my-2 w-full" onClick={onOpen}>
        {isAnew ? 'This max is old: find the load again' : 'Find my load now'}
      </Button>
    )
  if (isFound)
    return (
      <p className="my-2 rounded bg-leaf-wash px-3 py-2">
        Found: <strong className="font-serif">{formatLoad(load)}</strong> for {lowest(prescribed.reps ?? 5)}{' '}
        at about {prescribed.rir ?? usualRir} RIR. Your work sets start from it; what you lift suggests a max
        to accept afterwards.
      </p>
    )
  return (
    <FindLoadWay
      fallback={<p className="my-2 text-bark">Loading…</p>}
      of={{ slot, prescribed, sets, can, onTry }}
    />
  )
}
