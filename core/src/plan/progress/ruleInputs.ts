import { actsOn, slotSpot, weekSpot } from '../../adjustments/index.ts'
import { maxFor } from '../../evidence/index.ts'
import { setCounts, type Library, type Muscle } from '../../library/index.ts'
import type { MaxInForce } from '../../loads/index.ts'
import type { Id } from '../../parsing/index.ts'
import { type RuleAt, type Starting } from '../../progressions/index.ts'
import type { Slot } from '../../template/index.ts'
import type { Load, Unit } from '../../units/index.ts'
import type { Authored } from '../compile/changes.ts'
import { slotsUsing } from '../compile/program.ts'
import { roleAt, type CompiledSlot, type CompiledUse } from '../compile/slot.ts'
import type { Situation } from '../state/situation.ts'

/** What a slot's rules may know at a place of the plan. */
export type RuleInputs = {
  situation: Situation
  own: CompiledSlot
  body: Load | undefined
  unit: Unit
  first: Starting['first']
  /** The max that percents read; looked up where it is not given. */
  max?: MaxInForce | null
}

/** What a rule may know when it starts on the lift of a slot. */
export function starting(
  { situation, own, body, unit, first, max }: RuleInputs,
  last: Starting['last'],
): Starting {
  const { library, evidence, template, day } = situation
  const { slot: lift } = own
  return {
    library,
    lift,
    max: max === undefined ? maxFor(library, evidence, lift, template.maxes, day) : max,
    body,
    unit,
    first,
    last,
  }
}

/** Where in the plan a rule of the slot is asked or told; one that shares a muscle's sets is told among whom. */
export function ruleAt({ situation, own }: RuleInputs, use: CompiledUse): RuleAt {
  const { place, evidence } = situation
  const { week, inWeek } = place
  const stage = use.progression.stages[0]
  if (!stage || !use.traits.ofMuscle) return { week, inWeek }
  const { muscle } = stage.params as { muscle?: Muscle }
  const mostSets = evidence.mostSets[muscle ?? '']
  const shares = sharesOf(situation, use.id, own.id, muscle)
  return mostSets === undefined ? { week, inWeek, shares } : { week, inWeek, shares, mostSets }
}

/** The slots of the week that follow a progression, place by place, and which of them this one is. */
function sharesOf(
  situation: Situation,
  progression: Id,
  own: Id,
  muscle: Muscle | undefined,
): RuleAt['shares'] {
  const { library, program, state, place } = situation
  const roles: string[] = []
  const counts: number[] = []
  let at = 0
  const drops = situation.changes.filter(
    ({ author, adjustment }) => author === 'track' && adjustment.do.kind === 'drop',
  )
  const sessions = state.course.running?.sessions ?? [place.session]
  sessions.forEach((session, i) => {
    for (const { own: one, use } of slotsUsing(program, session, progression)) {
      if (drops.length && isLeftOut(situation, drops, { session, inWeek: i + 1 }, one)) continue
      if (one.id === own && i + 1 === place.inWeek) at = roles.length
      roles.push(roleAt(use.use, i + 1))
      counts.push(countOf(library, one.slot, muscle))
    }
  })
  return { roles, own: at, counts }
}

/** What a set of a slot counts for the muscle; a whole one where neither the slot nor its exercise says that it works it. */
function countOf(library: Library, slot: Slot, muscle: Muscle | undefined): number {
  return (muscle && setCounts(library, slot, muscle, slot.counts)) || 1
}

/** Whether the track leaves a slot out, so that the others share its sets. */
function isLeftOut(
  { library, place }: Situation,
  drops: readonly Authored[],
  at: { session: Id; inWeek: number },
  { id, slot }: CompiledSlot,
): boolean {
  const week = weekSpot(place.phase.id, place.phaseWeek, null)
  const spot = slotSpot(library, { ...week, ...at }, id, slot)
  return drops.some(({ adjustment: { where } }) => actsOn(where, spot))
}
