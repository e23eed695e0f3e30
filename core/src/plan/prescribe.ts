import type { Place } from '../calendar/places.ts'
import { isNeed, type Known, type Need, type Priced } from '../loads/source.ts'
import { sourceOf } from '../loads/registry.ts'
import type { Shown, ShownGroup, ShownSlot } from '../member/types.ts'
import { lettersOf } from '../template/letters.ts'
import type { Id, SetGroup, Slot, Template } from '../template/types.ts'
import { scale, snap, type Load, type Way } from '../units/index.ts'
import { adjust } from './adjust.ts'
import { loadingAt } from './equipment.ts'
import { maxFor, type Evidence } from './evidence.ts'
import { askProgression } from './progress.ts'
import { make, type Loading } from './round.ts'
import { lightAt, rowAt, rowRungs } from './rows.ts'
import type { FoldState } from './state.ts'

/** A slot as it is asked at a place. */
export type Prescribed = {
  id: Id
  letter: string
  slot: Slot
  row: number
  light: boolean
  groups: ShownGroup[]
  needs: Need[]
  /** The load of the slot's progression as it is now, where it has one. */
  ruled?: Load
}

/** Everything a session is prescribed from. */
export type Situation = { template: Template; state: FoldState; evidence: Evidence; at?: Id }

/**
 * One session of the plan: row → rule → adjustments → rounding, for each slot in the order of the session. A slot whose
 * max is missing says so and asks for it; the others stand. A slot that was shown is taken as it was shown: only its row
 * and its progression's load are worked out anew, to judge by.
 */
export function prescribe(situation: Situation, place: Place, shown?: Shown): Prescribed[] {
  const { sessions, slots } = situation.template
  const ids = sessions[place.session]?.parts.flatMap((part) => part.slots) ?? []
  const letters = lettersOf(situation.template, place.session)
  return ids.map((id) => {
    const slot = slots[id] as Slot
    const was = shown?.slots[id]
    const made = was ? recallSlot(situation, place, id, slot, was) : prescribeSlot(situation, place, id, slot)
    return { id, letter: letters[id] ?? '', ...made }
  })
}

type Made = Omit<Prescribed, 'id' | 'letter'>

function recallSlot(situation: Situation, place: Place, id: Id, slot: Slot, was: ShownSlot): Made {
  const { template, state, evidence } = situation
  const unit = loadingAt(evidence, undefined, slot).here.unit
  const asked = askProgression(template, state, slot, { max: maxFor(evidence, slot), unit })
  const row = rowAt(template, state, place, id, slot)
  return { slot, row, light: was.light === true, groups: was.groups, needs: [], ...ruledBy(asked) }
}

function prescribeSlot({ template, state, evidence, at }: Situation, place: Place, id: Id, slot: Slot): Made {
  const row = rowAt(template, state, place, id, slot)
  const light = lightAt(place, place.phaseWeek, id, slot)
  const loading = loadingAt(evidence, at, slot)
  const { unit } = loading.here
  const max = maxFor(evidence, slot)
  const progression = askProgression(template, state, slot, { max, unit })
  const known: Known = { lift: slot, max, unit, trainingMax: template.trainingMax, progression }
  const held = rowRungs(place, row)
  const needs: Need[] = []
  const groups = (slot.rows[place.phase.id]?.[row] ?? []).map((group) => {
    const priced = sourceOf[group.load.of].price(known, group.load)
    if (priced && isNeed(priced)) needs.push(priced)
    const way = light.length ? 'down' : template.rounding
    const asked = priced && !isNeed(priced) ? { ...priced, rungs: [...held, ...priced.rungs] } : priced
    return showGroup(group, asked, light, loading, way)
  })
  return { slot, row, light: light.length > 0, groups, needs: needs.slice(0, 1), ...ruledBy(progression) }
}

const ruledBy = (asked: Priced | Need | undefined): { ruled?: Load } =>
  asked && !isNeed(asked) ? { ruled: asked.base } : {}

function showGroup(
  group: SetGroup,
  asks: Priced | Need | null,
  light: Parameters<typeof adjust>[1],
  loading: Loading,
  way: Way,
): ShownGroup {
  const priced = asks && !isNeed(asks) ? asks : null
  const draft = adjust(
    { sets: group.sets, percent: priced?.percent ?? null, scale: 100, rungs: priced?.rungs ?? [] },
    light,
  )
  const { id, goal, rir, rest } = group
  const asked = {
    group: id,
    sets: draft.sets,
    reps: goal.reps,
    ...(goal.plus && { plus: goal.plus }),
    ...(rir !== undefined && { rir }),
    ...(rest !== undefined && { rest }),
  }
  if (!priced || draft.percent === null) {
    return { ...asked, target: null, load: null, ...(asks && { missing: true as const }), why: draft.rungs }
  }
  const meant = multiply(priced.base, draft.percent, draft.scale)
  const { rungs, ...made } = make(meant, loading, way)
  const ruled = group.load.of === 'progression' && { ruled: priced.base }
  return {
    ...asked,
    target: scale(priced.base, priced.percent),
    ...ruled,
    ...made,
    why: [...draft.rungs, ...rungs],
  }
}

/** Multiplied in one go and cut once, so that nothing is rounded on the way. */
function multiply(base: Load, percent: number, factor: number): Load {
  return { value: snap((base.value * percent * factor) / 10000), unit: base.unit }
}

/** The nearest load that a slot's lift can be given at home: where percentage cuts land. */
export function landAtHome(evidence: Evidence, slot: Slot): (load: Load) => Load {
  const loading = loadingAt(evidence, undefined, slot)
  return (load) => make(load, loading, 'nearest').load
}
