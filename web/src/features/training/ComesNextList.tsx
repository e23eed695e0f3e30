import { useLibrary } from '../library/useLibrary.ts'
import type { WhyStep } from '@young-oak/core/words'
import type { Plan, PlannedSession } from '@young-oak/core/plan'
import { liftName } from '@young-oak/core/library'
import type { ShownSets } from '@young-oak/core/member'
import { comesNext, formatSetsShown } from '@young-oak/core/views'
import { compareLoads, formatLoad } from '@young-oak/core/units'
import { Explained } from '../../ui/Explained.tsx'
import { Why } from '../../ui/Why.tsx'

/** After a session: what each lift moves to, where, and why. */
export function ComesNextList({ plan, session }: { plan: Plan; session: PlannedSession }) {
  const library = useLibrary()
  const moves = comesNext(plan, session)
  if (!moves.length) return null
  return (
    <ul className="mt-2 grid gap-3" aria-label="What comes next">
      {moves.map(({ slot, then, reason }) => (
        <li key={slot.slot}>
          <p className="font-medium">{liftName(library, slot)}</p>
          {then ? (
            <>
              <p>
                {formatSetsShown(library, slot.sets)} → in {then.name}, week {then.week}:{' '}
                <Why
                  title={then.sets[0]?.load ? formatLoad(then.sets[0].load) : ''}
                  steps={then.sets[0]?.why ?? []}
                  says={formatSetsShown(library, then.sets)}
                  className="font-medium"
                >
                  {formatSetsShown(library, then.sets)}
                </Why>
              </p>
              {reason && <Reason reason={reason} prescribed={then.sets[0]} />}
            </>
          ) : (
            <p className="text-bark">Not in the next weeks.</p>
          )}
        </li>
      ))}
    </ul>
  )
}

/** "83 kg was a hit on 24 Nov 2026: +2.5 kg → 85.5 kg, on these plates 85 kg." */
function Reason({ reason, prescribed }: { reason: WhyStep; prescribed: ShownSets | undefined }) {
  const isRounded =
    prescribed?.load && prescribed.target && compareLoads(prescribed.load, prescribed.target) !== 0
  return (
    <p className="text-sm text-bark">
      <Explained steps={[reason]} isSentence />
      {isRounded && prescribed.load ? `, on these plates ${formatLoad(prescribed.load)}` : ''}.
    </p>
  )
}
