import { exerciseOf } from '../library/index.ts'
import { ruleOf } from '../progressions/registry.ts'
import { at, type Checker } from '../reading/index.ts'
import { hasComputedLoad } from './computed.ts'
import { limits } from './shape.ts'
import type { Id, Slot, Template } from './types.ts'

/** Notes every name that leads nowhere, every thing that nothing leads to, and every row that is missing. */
export function findLooseEnds(checker: Checker, template: Template): void {
  findPhases(checker, template)
  const sessionOf = findSessions(checker, template)
  for (const [id, slot] of Object.entries(template.slots))
    findSlot(checker, template, id, slot, sessionOf.get(id))
  const followed = new Set(Object.values(template.slots).map(({ follows }) => follows?.progression))
  for (const id of Object.keys(template.progressions)) {
    if (!followed.has(id))
      checker.add(at('progressions', id), 'a progression that some slot follows', id, 'Remove it.')
  }
}

function findPhases(checker: Checker, { phases, sessions }: Template): void {
  const seen = new Set<Id>()
  phases.forEach((phase, i) => {
    const path = at('phases', i)
    if (seen.has(phase.id)) checker.add(at(path, 'id'), 'an id that no other phase has', phase.id)
    seen.add(phase.id)
    phase.rotation.forEach((session, j) => {
      if (!sessions[session])
        checker.add(at(at(path, 'rotation'), j), 'a session of this template', session, known(sessions))
    })
    phase.light.forEach(({ where }, j) => {
      const place = at(at(at(path, 'light'), j), 'where')
      where.sessions?.forEach((id, k) => {
        if (!sessions[id]) checker.add(at(at(place, 'sessions'), k), 'a session of this template', id)
      })
    })
  })
  const weeks = phases.reduce((sum, phase) => sum + phase.weeks, 0)
  if (weeks > limits.weeks) checker.add('phases', `at most ${limits.weeks} weeks in all`, weeks)
}

/** Checks the sessions, and returns the session of each slot. */
function findSessions(checker: Checker, { phases, sessions, slots }: Template): Map<Id, Id> {
  const sessionOf = new Map<Id, Id>()
  const used = new Set(phases.flatMap(({ rotation }) => rotation))
  for (const [id, session] of Object.entries(sessions)) {
    if (!used.has(id))
      checker.add(
        at('sessions', id),
        'a session in the rotation of some phase',
        id,
        'Remove it, or add it to one.',
      )
    const count = session.parts.reduce((sum, part) => sum + part.slots.length, 0)
    if (count > limits.slots) checker.add(at('sessions', id), `at most ${limits.slots} slots`, count)
    session.parts.forEach((part, i) =>
      part.slots.forEach((slot, j) => {
        const path = `${at(at(at('sessions', id), 'parts'), i)}.slots[${j}]`
        if (!slots[slot]) checker.add(path, 'a slot of this template', slot, known(slots))
        else if (sessionOf.has(slot))
          checker.add(path, 'a slot that stands once', slot, 'Copy it under an id of its own.')
        sessionOf.set(slot, id)
      }),
    )
  }
  return sessionOf
}

function findSlot(checker: Checker, template: Template, id: Id, slot: Slot, session: Id | undefined): void {
  const path = at('slots', id)
  if (session === undefined)
    checker.add(path, 'a slot that stands in a session', id, 'Add it to one, or remove it.')
  for (const phase of template.phases) {
    const needs = session !== undefined && phase.rotation.includes(session)
    if (needs && !slot.rows[phase.id])
      checker.add(at(at(path, 'rows'), phase.id), 'rows for this phase', undefined, 'Add them.')
  }
  findSlotEnds(checker, template, slot, path)
  findUnheard(checker, slot, path)
}

/** What a slot's progression and loads need of the slot itself and of the template. */
export function findSlotEnds(checker: Checker, template: Template, slot: Slot, path: string): void {
  const progression = slot.follows && template.progressions[slot.follows.progression]
  if (slot.follows && !progression) {
    checker.add(
      at(path, 'follows.progression'),
      'a progression of this template',
      slot.follows.progression,
      known(template.progressions),
    )
  }
  for (const { rule } of progression?.stages ?? []) {
    const { roles } = ruleOf[rule]
    const role = slot.follows?.role ?? ''
    if (!roles.includes(role))
      checker.add(at(path, 'follows.role'), `a role of ${rule}: ${roles.join(', ')}`, role)
  }
  if (hasComputedLoad(slot) && exerciseOf(slot).tool === 'body weight') {
    checker.add(
      at(path, 'exercise'),
      'an exercise with a load to compute',
      slot.exercise,
      'Body-weight work takes {"of": "free"} or {"of": "none"}.',
    )
  }
  findLoadEnds(checker, template, slot, path)
}

function findLoadEnds(checker: Checker, template: Template, slot: Slot, path: string): void {
  for (const [phase, rows] of Object.entries(slot.rows)) {
    rows.forEach((row, i) =>
      row.forEach(({ load }, j) => {
        const place = `${at(at(path, 'rows'), phase)}[${i}][${j}].load`
        if (load.of === 'trainingMax' && template.trainingMax === undefined) {
          checker.add(
            place,
            'a template with "trainingMax"',
            load.of,
            'Add "trainingMax": 90, say, at the top.',
          )
        }
        if (load.of === 'progression' && !slot.follows)
          checker.add(place, 'a slot that follows a progression', load.of, 'Add "follows".')
      }),
    )
  }
}

/** A progression that gives a slot no load anywhere would never be heard. */
function findUnheard(checker: Checker, slot: Slot, path: string): void {
  const asks = Object.values(slot.rows).flat(2)
  if (slot.follows && !asks.some(({ load }) => load.of === 'progression')) {
    checker.add(
      at(path, 'follows'),
      'at least one load of the progression',
      slot.follows.progression,
      'Write "load": {"of": "progression"}.',
    )
  }
}

const known = (things: Record<Id, unknown>) =>
  `There are: ${Object.keys(things).slice(0, 12).join(', ') || 'none'}.`
