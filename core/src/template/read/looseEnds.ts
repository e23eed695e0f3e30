import { type Id, at, type Checker } from '../../parsing/index.ts'
import { sourceOf } from '../../loads/index.ts'
import { findCircles } from './circles.ts'
import { limits } from './shape.ts'
import { findSlotEnds, findUnheard, known } from './slotEnds.ts'
import { ruleOf, type RuleKind } from '../../progressions/index.ts'
import {
  nominalWeeks,
  setsOfSlot,
  slotsOf,
  type Section,
  type Phase,
  type Progression,
  type Slot,
  type Template,
} from '../types.ts'

/**
 * Notes every name that leads nowhere, every thing that nothing leads to, and every row that is missing. Adjustments are the
 * exception: one whose target is gone is kept, and the plan says so.
 */
export function findLooseEnds(checker: Checker, template: Template): void {
  findPhases(checker, template)
  const sessionOf = findSessions(checker, template)
  for (const [id, slot] of Object.entries(template.slots))
    findSlot(checker, template, id, slot, sessionOf.get(id))
  const followed = new Set(
    Object.values(template.slots).flatMap(({ uses }) => uses.map((f) => f.progression)),
  )
  for (const [id, progression] of Object.entries(template.progressions)) {
    const path = at('progressions', id)
    if (!followed.has(id)) checker.add(path, 'a progression that some slot uses', id, 'Remove it.')
    findRules(checker, template, progression, path)
  }
  findCircles(checker, template)
}

function findPhases(checker: Checker, template: Template): void {
  const { phases, sessions, progressions } = template
  const seen = new Set<Id>()
  phases.forEach((phase, i) => {
    const path = at('phases', i)
    if (seen.has(phase.id)) checker.add(at(path, 'id'), 'an id that no other phase has', phase.id)
    seen.add(phase.id)
    phase.rotation.forEach((session, j) => {
      if (!sessions[session])
        checker.add(at(at(path, 'rotation'), j), 'a session of this template', session, known(sessions))
    })
    if (typeof phase.weeks === 'number') return
    const { progression } = phase.weeks.until
    if (!progressions[progression])
      checker.add(
        at(path, 'weeks.until.progression'),
        'a progression of this template',
        progression,
        known(progressions),
      )
  })
  const weeks = phases.reduce((sum, phase) => sum + nominalWeeks(phase), 0)
  if (weeks > limits.weeks) checker.add('phases', `at most ${limits.weeks} weeks in all`, weeks)
  findTestDay(checker, template)
}

/** What is counted back from a test day needs fixed weeks before it, and weeks that keep to their dates. */
function findTestDay(checker: Checker, { phases, missed, later }: Template): void {
  const test = phases.findIndex(({ ends }) => ends)
  if (test < 0) return
  if (later)
    checker.add(
      'later',
      'no phase after the one that ends with the test day',
      later.length,
      'Leave the end with the test day open until these are written, or remove them.',
    )
  if (test < phases.length - 1)
    checker.add(at(at('phases', test), 'ends'), 'the last phase', phases[test]?.ends, 'Move it to the end.')
  if (missed === 'shift' || missed === 'repeat')
    checker.add('missed', 'hold or drop, since a test day does not move', missed)
  phases.forEach(({ weeks }, i) => {
    if (typeof weeks !== 'number')
      checker.add(at(at('phases', i), 'weeks'), 'a fixed number of weeks before a test day', weeks)
  })
}

/** Checks the sessions, and returns the session of each slot; a slot that a track adds stands beside the one it follows. */
function findSessions(checker: Checker, template: Template): Map<Id, Id> {
  const { phases, sessions, slots, tracks } = template
  const sessionOf = new Map<Id, Id>()
  const changes = Object.values(tracks).flatMap((track) => track.changes)
  const used = new Set([
    ...phases.flatMap(({ rotation }) => rotation),
    ...changes.flatMap(({ do: change }) => (change.kind === 'rotation' ? change.rotation : [])),
  ])
  for (const [id, session] of Object.entries(sessions)) {
    if (!used.has(id))
      checker.add(
        at('sessions', id),
        'a session in the rotation of some phase',
        id,
        'Remove it, or add it to one.',
      )
    const count = slotsOf(session).length
    if (count > limits.slots) checker.add(at('sessions', id), `at most ${limits.slots} slots`, count)
    session.sections.forEach((part, i) =>
      part.slots.forEach((slot, j) => {
        const path = `${at(at(at('sessions', id), 'sections'), i)}.slots[${j}]`
        if (!slots[slot]) checker.add(path, 'a slot of this template', slot, known(slots))
        else if (sessionOf.has(slot))
          checker.add(path, 'a slot that is in one session only', slot, 'Copy it under its own id.')
        sessionOf.set(slot, id)
      }),
    )
    session.sections.forEach((part, i) =>
      findTurns(checker, template, part, at(at(at('sessions', id), 'sections'), i)),
    )
  }
  for (const { do: change } of changes) {
    const session = change.kind === 'add' ? sessionOf.get(change.after) : undefined
    if (change.kind === 'add' && session && !sessionOf.has(change.slot)) sessionOf.set(change.slot, session)
  }
  return sessionOf
}

/** Slots whose loads read one another cannot trade places. */
function findTurns(checker: Checker, { slots }: Template, part: Section, path: string): void {
  if (!part.rotation) return
  if (part.slots.length < 2)
    checker.add(at(path, 'rotation'), 'two slots or more to rotate', part.slots.length)
  for (const id of part.slots)
    for (const { load } of slots[id] ? setsOfSlot(slots[id]) : []) {
      const { slot: other } = sourceOf[load.of].reads?.(load) ?? {}
      if (other === undefined || other === id || !part.slots.includes(other)) continue
      const fix = 'Remove the rotation, or base the load on something else.'
      return checker.add(at(path, 'rotation'), 'slots whose loads do not read one another', id, fix)
    }
}

function findSlot(checker: Checker, template: Template, id: Id, slot: Slot, session: Id | undefined): void {
  const path = at('slots', id)
  if (session === undefined)
    checker.add(path, 'a slot that is in a session', id, 'Add it to one, let a track add it, or remove it.')
  for (const phase of template.phases) {
    const needs = session !== undefined && phase.rotation.includes(session)
    if (needs && !slot.rows[phase.id])
      checker.add(at(at(path, 'rows'), phase.id), 'rows for this phase', undefined, 'Add them.')
  }
  findSlotEnds(checker, template, slot, path)
  findUnheard(checker, template, slot, path)
  findOrder(checker, template, id, slot, session)
}

/** In a phase a progression has one rule; and all of its rules keep their state of the same thing. */
export function findRules(
  checker: Checker,
  { phases }: Template,
  { stages, inPhases = [] }: Progression,
  path: string,
): void {
  const scopeOf = (rule: RuleKind) => ruleOf[rule].of ?? 'lift'
  const scope = stages[0] && scopeOf(stages[0].rule)
  stages.forEach(({ rule }, i) => {
    if (scopeOf(rule) !== scope)
      checker.add(`${at(path, 'stages')}[${i}].rule`, `a rule of one ${scope}, like the first stage`, rule)
  })
  inPhases.forEach(({ phase, rule }, i) => {
    const place = at(at(path, 'inPhases'), i)
    if (!phases.some(({ id }) => id === phase))
      checker.add(at(place, 'phase'), 'a phase of this template', phase, known(byId(phases)))
    if (inPhases.findIndex((one) => one.phase === phase) < i)
      checker.add(
        at(place, 'phase'),
        'one rule for the progression in a phase',
        phase,
        'Two progressions cannot both write a lift: keep one of them.',
      )
    if (scopeOf(rule) !== scope)
      checker.add(at(place, 'rule'), `a rule of one ${scope}, like the first stage`, rule)
  })
}

const byId = (phases: Phase[]): Record<Id, Phase> =>
  Object.fromEntries(phases.map((phase) => [phase.id, phase]))

/** A load below the top set of another slot needs that slot earlier in the same session. */
function findOrder(checker: Checker, { sessions, slots }: Template, id: Id, slot: Slot, session?: Id): void {
  const order = session === undefined || !sessions[session] ? [] : slotsOf(sessions[session])
  for (const { load } of setsOfSlot(slot)) {
    const { slot: other } = sourceOf[load.of].reads?.(load) ?? {}
    if (other === undefined || !slots[other] || !order.includes(id)) continue
    const place = order.indexOf(other)
    if (place >= 0 && place < order.indexOf(id)) continue
    checker.add(at('slots', id), 'the slot that its load reads before it in the session', other)
    return
  }
}

/** What a draft may still lack, and a version not: a session without slots. */
export function findUnfinished(checker: Checker, { sessions }: Template): void {
  for (const [id, session] of Object.entries(sessions))
    if (!slotsOf(session).length)
      checker.add(
        at('sessions', id),
        'at least one slot',
        0,
        `Add one to ${session.name}, or remove the session.`,
      )
}
