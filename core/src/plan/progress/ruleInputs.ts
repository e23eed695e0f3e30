import type { Id } from '../../parsing/index.ts'
import { setCounts, type Muscle } from '../../library/index.ts'
import { actsOn, slotWith } from '../../adjustments/index.ts'
import { type RuleAt, ruleOf } from '../../progressions/index.ts'
import { slotsOf, type Slot } from '../../template/index.ts'
import { maxFor } from '../../evidence/index.ts'
import { roleAt, type RuleInputs } from './progress.ts'
import type { Situation } from '../state/situation.ts'

/** What a slot's rules may know at a place of the plan. */
export function ruleInputs(
  { library, template, state, evidence, place, day, changes }: Situation,
  id: Id,
  slot: Slot,
  { body, unit, first, max }: Pick<RuleInputs, 'body' | 'unit' | 'first'> & { max?: RuleInputs['max'] },
): RuleInputs {
  const { week, inWeek, phase } = place
  return {
    library,
    max: max === undefined ? maxFor(library, evidence, slot, template.maxes, day) : max,
    body,
    unit,
    first,
    phase: phase.id,
    handovers: evidence.handovers,
    at(progression) {
      const stage = template.progressions[progression]?.stages[0]
      if (!stage || ruleOf[stage.rule].of !== 'muscle') return { week, inWeek }
      const { muscle } = stage.params as { muscle?: Muscle }
      const mostSets = evidence.mostSets[muscle ?? '']
      return {
        week,
        inWeek,
        shares: sharesOf(progression, id, muscle),
        ...(mostSets !== undefined && { mostSets }),
      }
    },
  }

  /** The slots of the week that follow a progression, place by place, and which of them this one is. */
  function sharesOf(progression: Id, own: Id, muscle: Muscle | undefined): RuleAt['shares'] {
    const roles: string[] = []
    const counts: number[] = []
    let at = 0
    const sessions = state.course.running?.sessions ?? [place.session]
    sessions.forEach((session, i) => {
      const inOrder = template.sessions[session] ? slotsOf(template.sessions[session]) : []
      for (const one of inOrder) {
        const follow = template.slots[one]?.uses.find((f) => f.progression === progression)
        if (!follow || isLeftOut(session, one)) continue
        if (one === own && i + 1 === inWeek) at = roles.length
        roles.push(roleAt(follow, i + 1))
        counts.push(countOf(template.slots[one] as Slot, muscle))
      }
    })
    return { roles, own: at, counts }
  }

  /** What a set of a slot counts for the muscle; a whole one where neither the slot nor its exercise says that it works it. */
  function countOf(one: Slot, muscle: Muscle | undefined): number {
    return (muscle && setCounts(library, one, muscle, one.counts)) || 1
  }

  /** Whether the track leaves a slot out, so that the others share its sets. */
  function isLeftOut(session: Id, id: Id): boolean {
    const lift = template.slots[id] as Slot
    const spot = { phase: phase.id, phaseWeek: place.phaseWeek, session, slot: slotWith(library, id, lift) }
    return changes.some(
      ({ author, adjustment: { do: change, where } }) =>
        author === 'track' && change.kind === 'drop' && actsOn(where, spot),
    )
  }
}
