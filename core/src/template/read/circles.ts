import { type Id, at, type Checker } from '../../parsing/index.ts'
import { sourceOf } from '../../loads/index.ts'
import { setsOfSlot, type Template } from '../types.ts'

/** Notes each ring of loads that read one another: none of them could ever be worked out. */
export function findCircles(checker: Checker, template: Template): void {
  const reads = new Map<Id, Set<Id>>()
  for (const id of Object.keys(template.slots)) reads.set(id, readBy(template, id))
  const done = new Set<Id>()
  const walk = (id: Id, way: Id[]): void => {
    const from = way.indexOf(id)
    if (from >= 0) {
      const ring = [...way.slice(from), id].join(' → ')
      checker.add(
        at('slots', id),
        'loads that do not read one another in a circle',
        ring,
        'Base one of them on a max.',
      )
      return
    }
    if (done.has(id)) return
    for (const next of reads.get(id) ?? []) walk(next, [...way, id])
    done.add(id)
  }
  for (const id of reads.keys()) walk(id, [])
}

/** The slots whose loads a slot reads: named ones of the same day, and those in a role of its progression. */
function readBy({ slots }: Template, id: Id): Set<Id> {
  const slot = slots[id]
  const found = new Set<Id>()
  for (const { load } of slot ? setsOfSlot(slot) : []) {
    const { slot: other } = sourceOf[load.of].reads?.(load) ?? {}
    if (other !== undefined && other !== id) found.add(other)
    const role = sourceOf[load.of].readsRole?.(load)
    if (role === undefined) continue
    const own = new Set(slot?.uses.map(({ progression }) => progression))
    for (const [one, { uses }] of Object.entries(slots))
      if (uses.some((follow) => own.has(follow.progression) && follow.role === role)) found.add(one)
  }
  return found
}
