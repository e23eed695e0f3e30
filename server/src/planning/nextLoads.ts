import type { explain as Explain } from '@young-oak/core/explain'
import type { Planned } from '@young-oak/core/plan'

/** By member and by where it stands: the load of each line of sets that comes next, and how it came about where that was asked. */
export type NextLoads = Record<string, Record<string, { load: string; why?: string[] }>>

/** The loads of a member's sessions that are not trained yet, as a near plan has them, each with its steps where somebody can say them. */
export function nextLoadsOf({ plans }: Planned, explain?: typeof Explain): NextLoads[string] {
  const own: NextLoads[string] = {}
  for (const [enrolment, { weeks }] of Object.entries(plans))
    for (const { places } of weeks)
      for (const { status, name, slots } of places)
        for (const { slot, exercise, sets } of status === 'next' || status === 'ahead' ? slots : [])
          sets.forEach(({ sets: count, load, help, why }, i) => {
            const at = `${enrolment.slice(0, 8)}, ${name}, ${slot} (${exercise}), line ${i + 1}`
            if (own[at]) return
            own[at] = {
              load: load ? `${count} × ${help ? '−' : ''}${load.value} ${load.unit}` : `${count} × no load`,
            }
            if (explain) own[at].why = why.map(explain)
          })
  return own
}
