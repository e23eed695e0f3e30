import { explain } from '@young-oak/core/explain'
import { liftName } from '@young-oak/core/library'
import { comesNext, formatGroups, type Plan, type PlannedSession } from '@young-oak/core/plan'
import { formatLoad } from '@young-oak/core/units'
import { sentence, Why } from '../../ui/Why.tsx'

/** After a session: what each lift moves to, where, and why. */
export function ComesNextList({ plan, session }: { plan: Plan; session: PlannedSession }) {
  const moves = comesNext(plan, session)
  if (!moves.length) return null
  return (
    <ul className="mt-2 grid gap-3" aria-label="What comes next">
      {moves.map(({ slot, then, reason }) => (
        <li key={slot.slot}>
          <p className="font-medium">{liftName(slot)}</p>
          {then ? (
            <>
              <p>
                {formatGroups(slot.groups)} → in {then.name}, week {then.week}:{' '}
                <Why
                  title={then.groups[0]?.load ? formatLoad(then.groups[0].load) : ''}
                  rungs={then.groups[0]?.why ?? []}
                  className="font-medium"
                >
                  {formatGroups(then.groups)}
                </Why>
              </p>
              {reason.length > 0 && (
                <p className="text-sm text-bark">{sentence(reason.map(explain).join('; '))}.</p>
              )}
            </>
          ) : (
            <p className="text-bark">Not again in the next weeks.</p>
          )}
        </li>
      ))}
    </ul>
  )
}
