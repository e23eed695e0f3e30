import type { Id } from '../parsing/index.ts'
import { slotsOf, type Slot, type Template, type Use } from './types.ts'

/**
 * Whether a slot uses a progression on the lighter side in a phase: at a percentage of its load that is below that of another slot in the
 * same role. It then reads the load of that slot's day and is no exposure of its own, unless its use says that it is a full one.
 */
export function isLighterUse(template: Template, phase: Id, id: Id, use: Use): boolean {
  if (use.full) return false
  return lighterIn(template, phase).has(keyOf(id, use))
}

const keyOf = (slot: Id, { progression }: Use): string => `${slot}/${progression}`

function lighterIn(template: Template, phase: Id): ReadonlySet<string> {
  const known = kept.get(template.slots)?.get(phase)
  if (known) return known
  const made = new Set<string>()
  const rotation = template.phases.find(({ id }) => id === phase)?.rotation ?? []
  const inPhase = new Set(
    rotation.flatMap((session) => (template.sessions[session] ? slotsOf(template.sessions[session]) : [])),
  )
  const all = [...inPhase].flatMap((id) => {
    const slot = template.slots[id]
    const percent = slot && topPercent(slot, phase)
    return slot && percent ? slot.uses.map((use) => ({ id, use, percent })) : []
  })
  for (const { id, use, percent } of all) {
    const isBelow = all.some(
      (one) =>
        one.use.progression === use.progression &&
        JSON.stringify(one.use.role) === JSON.stringify(use.role) &&
        one.percent > percent,
    )
    if (isBelow) made.add(keyOf(id, use))
  }
  const byPhase = kept.get(template.slots) ?? new Map<Id, ReadonlySet<string>>()
  kept.set(template.slots, byPhase.set(phase, made))
  return made
}

/** A template that has been read is never changed in place, so what is found in it is kept beside it. */
const kept = new WeakMap<Template['slots'], Map<Id, ReadonlySet<string>>>()

/** The highest percentage of its progression's load that a slot asks in a phase; 0 where it asks none. */
function topPercent({ rows }: Slot, phase: Id): number {
  let top = 0
  for (const { load } of (rows[phase] ?? []).flat())
    if (load.of === 'progression') top = Math.max(top, load.percent ?? 100)
  return top
}
