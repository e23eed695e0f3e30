import { actsOn } from '../adjustments/where.ts'
import type { RuleAt } from '../progressions/rule.ts'
import { ruleOf } from '../progressions/registry.ts'
import { slotsOf, type Id, type Slot } from '../template/types.ts'
import { maxFor } from './maxFor.ts'
import { roleAt, type Knowing } from './progress.ts'
import type { Situation } from './situation.ts'

/** What a slot's rules may know at a place of the plan. */
export function knowing(
  { template, state, evidence, place, day, changes }: Situation,
  id: Id,
  slot: Slot,
  { body, unit, first, max }: Pick<Knowing, 'body' | 'unit' | 'first'> & { max?: Knowing['max'] },
): Knowing {
  const { week, inWeek, phase } = place
  return {
    max: max === undefined ? maxFor(evidence, slot, template.maxes, day) : max,
    body,
    unit,
    first,
    phase: phase.id,
    handovers: evidence.handovers,
    at(progression) {
      const stage = template.progressions[progression]?.stages[0]
      if (!stage || ruleOf[stage.rule].of !== 'muscle') return { week, inWeek }
      const muscle = (stage.params as { muscle?: string }).muscle
      const ceiling = evidence.ceilings[muscle ?? '']
      return { week, inWeek, shares: sharesOf(progression, id), ...(ceiling !== undefined && { ceiling }) }
    },
  }

  /** The slots of the week that follow a progression, place by place, and which of them this one is. */
  function sharesOf(progression: Id, own: Id): RuleAt['shares'] {
    const roles: string[] = []
    let at = 0
    const sessions = state.course.running?.sessions ?? [place.session]
    sessions.forEach((session, i) => {
      const inOrder = template.sessions[session] ? slotsOf(template.sessions[session]) : []
      for (const one of inOrder) {
        const follow = template.slots[one]?.follows.find((f) => f.progression === progression)
        if (!follow || isLeftOut(session, one)) continue
        if (one === own && i + 1 === inWeek) at = roles.length
        roles.push(roleAt(follow, i + 1))
      }
    })
    return { roles, own: at }
  }

  /** Whether the track leaves a slot out, so that the others share its sets. */
  function isLeftOut(session: Id, id: Id): boolean {
    const lift = template.slots[id] as Slot
    const spot = { phase: phase.id, phaseWeek: place.phaseWeek, session, slot: { id, lift } }
    return changes.some(
      ({ author, adjustment: { do: change, where } }) =>
        author === 'track' && change.kind === 'drop' && actsOn(where, spot),
    )
  }
}
