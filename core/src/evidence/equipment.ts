import type { Id } from '../parsing/index.ts'
import { exerciseOf, type Lift, type Tool, type Library } from '../library/index.ts'
import {
  makeable,
  makeableOnBody,
  makeableOnPin,
  makeableWith,
  usualFixed,
  usualRack,
  type Fixed,
  type FixedTool,
  type Load,
  type Makeable,
  type Rack,
  type Unit,
} from '../units/index.ts'
import type { EquipmentBody } from '../facts/index.ts'
import type { Evidence } from './evidence.ts'

/** What an exercise can be loaded with here, and at home; and the body weight that is part of its load. */
export type Loading = { here: Makeable; home: Makeable; body?: Load }

/** What a lift can be loaded with at a place (home when it is not named) and at home, and the body weight that goes with it. */
export function loadingAt(library: Library, evidence: Evidence, place: Id | undefined, lift: Lift): Loading {
  const { loading } = onlyOnce(library, evidence, place ?? evidence.home, lift)
  const { body } = evidence
  if (!body || exerciseOf(library, lift).tool !== 'body weight') return loading
  return { here: loading.here, home: loading.home, body: body.load }
}

function onlyOnce(library: Library, evidence: Evidence, at: Id, lift: Lift): Known {
  const { home, unit, equipment } = evidence
  const loader = loaderOf(library, lift)
  const known = loadings.get(equipment)
  const same = known?.find(
    (one) => one.loader === loader && one.at === at && one.unit === unit && one.home === home,
  )
  if (same) return same
  const listed = listedFor(library, equipment[home], lift)
  const atHome = makeableAt(library, unit, listed, lift)
  const here = at === home ? atHome : makeableAt(library, unit, listedFor(library, equipment[at], lift), lift)
  const made = { loader, at, unit, home, loading: { here, home: atHome }, isAssumed: !listed.length }
  if (known) known.push(made)
  else loadings.set(equipment, [made])
  return made
}

/** What tells the loadings of two lifts apart: the tool, the bar that it needs, or the machine that it is. */
function loaderOf(library: Library, { exercise }: Lift): string {
  const { tool, bar } = exerciseOf(library, { exercise })
  return tool === 'machine' ? exercise : bar === undefined ? tool : `${tool} ${bar}`
}

type Known = { loader: string; at: Id; unit: Unit; home: Id; loading: Loading; isAssumed: boolean }

/** Evidence is never changed in place, so what its equipment makes is kept beside it. */
const loadings = new WeakMap<Evidence['equipment'], Known[]>()

/** True where nobody has listed what a place has for this lift, so that the usual equipment is assumed. */
export const isAssumed = (library: Library, evidence: Evidence, lift: Lift): boolean =>
  onlyOnce(library, evidence, evidence.home, lift).isAssumed

/**
 * In the member's unit where the place has it; else in the unit that it has, and loads are then given in that; else the
 * usual equipment of the member's unit.
 */
function makeableAt(library: Library, unit: Unit, listed: Makeable[], lift: Lift): Makeable {
  const own = listed.find((one) => one.unit === unit) ?? listed[0]
  return (
    own ??
    makeableOf(library, { racks: [usualRack[unit]], fixed: fixedTools(unit) }, lift)[0] ??
    usualFixed.machine[unit]
  )
}

const fixedTools = (unit: Unit): Fixed[] => Object.values(usualFixed).map((byUnit) => byUnit[unit])

/** What a place has listed for a lift, one for each unit. */
const listedFor = (library: Library, listed: EquipmentBody | undefined, lift: Lift): Makeable[] =>
  listed ? makeableOf(library, listed, lift) : []

function makeableOf(library: Library, { racks, fixed = [] }: EquipmentBody, lift: Lift): Makeable[] {
  const { tool, bar } = exerciseOf(library, lift)
  const ready = (kind: FixedTool): Fixed[] => {
    const all = fixed.filter((one) => one.tool === kind)
    const own = all.filter(({ exercise }) => exercise === lift.exercise)
    return own.length ? own : all.filter(({ exercise }) => exercise === undefined)
  }
  const by: Record<Tool, () => Makeable[]> = {
    barbell: () => racks.map((rack) => (bar ? makeableWith(rack, bar) : makeable(rack))),
    dumbbells: () => ready('dumbbells'),
    machine: () => ready('machine').map(makeableOnPin),
    'body weight': () =>
      racks.map((rack: Rack) => makeableOnBody(rack, helpIn(rack.unit, ready('assistance')))),
  }
  return by[tool]()
}

/** Help is assumed where nobody has said what the place has: a bench, a band or a partner is everywhere. */
const helpIn = (unit: Unit, listed: Fixed[]): Fixed =>
  listed.find((one) => one.unit === unit) ?? usualFixed.assistance[unit]
