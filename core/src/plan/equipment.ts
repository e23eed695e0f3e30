import { exerciseOf, type Lift } from '../library/index.ts'
import type { Id } from '../template/types.ts'
import { makeable, usualFixed, usualRack, type Fixed, type Makeable, type Unit } from '../units/index.ts'
import type { Evidence } from './evidence.ts'
import type { Loading } from './round.ts'

/** What a lift can be loaded with at a place (home when it is not named) and at home. */
export function loadingAt(evidence: Evidence, place: Id | undefined, lift: Lift): Loading {
  const tool = toolOf(lift)
  const { home, unit, equipment } = evidence
  const known = loadings.get(equipment)
  const at = place ?? home
  const same = known?.find(
    (one) => one.tool === tool && one.at === at && one.unit === unit && one.home === home,
  )
  if (same) return same.loading
  const atHome = makeableAt(evidence, home, lift)
  const loading = { here: at === home ? atHome : makeableAt(evidence, at, lift), home: atHome }
  const made = { tool, at, unit, home, loading }
  if (known) known.push(made)
  else loadings.set(equipment, [made])
  return loading
}

type Known = { tool: string; at: Id; unit: Unit; home: Id; loading: Loading }

/** Evidence is never changed in place, so what its equipment makes is kept beside it. */
const loadings = new WeakMap<Evidence['equipment'], Known[]>()

/** True where nobody has listed what a place has for this lift, so that the usual equipment is assumed. */
export const isAssumed = (evidence: Evidence, lift: Lift): boolean =>
  !listedAt(evidence, evidence.home, lift).length

/**
 * In the member's unit where the place has it; else in the unit that it has, and loads are then given in that; else the
 * usual equipment of the member's unit.
 */
function makeableAt(evidence: Evidence, place: Id, lift: Lift): Makeable {
  const listed = listedAt(evidence, place, lift)
  return listed.find(({ unit }) => unit === evidence.unit) ?? listed[0] ?? usual(evidence, lift)
}

function listedAt({ equipment }: Evidence, place: Id, lift: Lift): Makeable[] {
  const { racks = [], fixed = [] } = equipment[place] ?? {}
  const tool = toolOf(lift)
  return tool === 'barbell' ? racks.map(makeable) : fixed.filter((one) => one.tool === tool)
}

function usual({ unit }: Evidence, lift: Lift): Makeable {
  const tool = toolOf(lift)
  return tool === 'barbell' ? makeable(usualRack[unit]) : usualFixed[tool][unit]
}

/** Body-weight exercises are never given a computed load (the template's reader sees to it), so theirs is never asked. */
function toolOf(lift: Lift): 'barbell' | Fixed['tool'] {
  const { tool } = exerciseOf(lift)
  return tool === 'body weight' ? 'machine' : tool
}
