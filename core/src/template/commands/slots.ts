import { object } from 'yup'
import { liftName } from '../../library/index.ts'
import { at, exerciseField, idField, textField, type Checker } from '../../reading/index.ts'
import { readSlot, readWarmUp } from '../read.ts'
import { slotName } from '../sayAdjustment.ts'
import { limits, slotShape } from '../shape.ts'
import { findOverMax, findSlotEnds, findUnheard } from '../slotEnds.ts'
import { slotsOf, type Id, type Session, type Slot, type Template } from '../types.ts'
import {
  changed,
  defineCommand,
  gone,
  same,
  withField,
  withSlot,
  type SlotField,
  type Spot,
} from './command.ts'

export const addSlot = defineCommand<'addSlot'>({
  apply(draft, { slot, session: id, part, after, value }) {
    const session = draft.sessions[id]
    if (!session) return gone('The session')
    if (draft.slots[slot]) return changed(`The slot ${liftName(value)}`, 'there already')
    const placed = putIn(session, slot, after, part)
    if (!placed) return gone('The slot before it')
    return withSlot({ ...draft, sessions: { ...draft.sessions, [id]: placed } }, slot, value)
  },
  check(checker, draft, { slot, session, value }) {
    checkSlot(checker, draft, slot, value)
    findTooMany(checker, draft, session)
  },
  say: (_, { value }) => `Added: ${liftName(value)}`,
  inverse: (command) => ({ ...command, do: 'removeSlot' }),
})

export const removeSlot = defineCommand<'removeSlot'>({
  apply(draft, { slot, session: id, value }) {
    const session = draft.sessions[id]
    const { [slot]: own, ...slots } = draft.slots
    if (!session || !own) return gone('The slot')
    if (!same(own, value)) return changed(`The slot ${liftName(own)}`, 'something else')
    return { ...draft, slots, sessions: { ...draft.sessions, [id]: without(session, slot) } }
  },
  check: () => undefined,
  say: (_, { value }) => `Removed: ${liftName(value)}`,
  inverse: (command) => ({ ...command, do: 'addSlot' }),
})

/** A slot keeps its id wherever it goes, and so everything that was logged in it. */
export const moveSlot = defineCommand<'moveSlot'>({
  apply(draft, { slot, from, to }) {
    const now = spotOf(draft, slot)
    if (!draft.slots[slot] || now?.session !== from?.session)
      return gone('The slot at the place where it stood')
    const lifted = from ? withSession(draft, from.session, (own) => without(own, slot)) : draft
    if (!to) return lifted
    const target = lifted.sessions[to.session]
    if (!target) return gone('The session')
    const placed = putIn(target, slot, to.after, to.part)
    return placed ? withSession(lifted, to.session, () => placed) : gone('The slot before it')
  },
  check(checker, draft, { from, to }) {
    if (to && from?.session !== to.session) findTooMany(checker, draft, to.session)
  },
  say: (draft, { slot }) => `${slotName(draft, slot)} moved`,
})

/** Where a slot stands now. */
export function spotOf({ sessions }: Pick<Template, 'sessions'>, slot: Id): Spot | null {
  for (const [session, { parts }] of Object.entries(sessions))
    for (const { name, slots } of parts) {
      const place = slots.indexOf(slot)
      if (place >= 0) return { session, part: name, after: slots[place - 1] ?? '' }
    }
  return null
}

/** A slot put behind another, or first in the named part; null where the other has gone. */
function putIn(session: Session, slot: Id, after: Id, part?: string): Session | null {
  const at = session.parts.findIndex((one) => (after ? one.slots.includes(after) : one.name === part))
  if (at < 0) return null
  const parts = session.parts.map((one, i) => {
    if (i !== at) return one
    const place = one.slots.indexOf(after) + 1
    return { ...one, slots: [...one.slots.slice(0, place), slot, ...one.slots.slice(place)] }
  })
  return { ...session, parts }
}

function withSession(draft: Template, id: Id, change: (session: Session) => Session): Template {
  const own = draft.sessions[id]
  return own ? { ...draft, sessions: { ...draft.sessions, [id]: change(own) } } : draft
}

const without = (session: Session, slot: Id): Session => ({
  ...session,
  parts: session.parts.map((part) =>
    part.slots.includes(slot) ? { ...part, slots: part.slots.filter((one) => one !== slot) } : part,
  ),
})

function findTooMany(checker: Checker, { sessions }: Template, id: Id): void {
  const count = sessions[id] ? slotsOf(sessions[id]).length : 0
  if (count >= limits.slots) checker.add(at('sessions', id), `at most ${limits.slots} slots`, count + 1)
}

export const setSlot = defineCommand<'setSlot'>({
  apply(draft, { slot: id, from, to }) {
    const own = draft.slots[id]
    if (!own) return gone('The slot')
    return same(own, from) ? withSlot(draft, id, to) : changed(slotName(draft, id), 'something else')
  },
  check(checker, draft, { slot: id, to }) {
    const slot = checkSlot(checker, draft, id, to)
    if (slot) findUnheard(checker, draft, slot, at('slots', id))
  },
  say: (draft, { slot }) => `${slotName(draft, slot)} changed`,
})

export const setSlotField = defineCommand<'setSlotField'>({
  apply(draft, { slot: id, field, from, to }) {
    const own = draft.slots[id]
    if (!own) return gone('The slot')
    if (!same(own[field] ?? null, from))
      return changed(`${slotName(draft, id)}, ${slotNames[field]},`, own[field])
    return withSlot(draft, id, withField(own, field, to))
  },
  check(checker, draft, { slot: id, field, to }) {
    const path = at('slots', id)
    if (to !== null) checker.check(slotShape.pick([field]), { [field]: to }, path)
    const own = draft.slots[id]
    if (own && !checker.issues.length) findSlotEnds(checker, draft, withField(own, field, to), path)
  },
  say: (draft, { slot, field }) => `${slotName(draft, slot)}: ${slotNames[field]}`,
})

const slotNames: Record<SlotField, string> = {
  group: 'superset',
  note: 'note',
  turns: 'lifts in turn',
  circuit: 'circuit',
  capStep: 'the step that caps it',
  counts: 'what it counts for',
}

export const setExercise = defineCommand<'setExercise'>({
  apply(draft, { slot: id, from, to }) {
    const slot = draft.slots[id]
    if (!slot) return gone('The slot')
    const { exercise, variant, ...rest } = slot
    if (exercise !== from.exercise || variant !== from.variant)
      return changed(`The exercise of ${slotName(draft, id)}`, exercise)
    return withSlot(draft, id, { ...to, ...rest })
  },
  check(checker, draft, { slot: id, to }) {
    const path = at('slots', id)
    const shape = object({ exercise: exerciseField().required(), variant: textField('a variant', 60) })
    const lift = checker.check(shape.noUnknown(), to, path)
    const slot = draft.slots[id]
    if (lift && slot) findSlotEnds(checker, draft, { ...slot, ...to }, path)
  },
  say: (_, { from, to }) => `${liftName(from)} → ${liftName(to)}`,
})

export const setWarmUp = defineCommand<'setWarmUp'>({
  apply(draft, { slot: id, from, to }) {
    const slot = draft.slots[id]
    if (!slot) return gone('The slot')
    if (!same(slot.warmUp ?? null, from)) return changed(`The warm-up of ${slotName(draft, id)}`, slot.warmUp)
    return withSlot(draft, id, withField(slot, 'warmUp', to))
  },
  check(checker, _, { slot, to }) {
    if (to !== null && to !== 'none') readWarmUp(checker, to, at(at('slots', slot), 'warmUp'))
  },
  say: (draft, { slot }) => `${slotName(draft, slot)}: warm-up`,
})

/** A draft holds what was sent, so nothing may be left to a default. */
function checkSlot(checker: Checker, draft: Template, id: Id, value: Slot): Slot | undefined {
  const path = at('slots', id)
  checker.check(object({ id: idField('a slot’s id').required() }), { id }, path)
  const slot = readSlot(checker, value, path, draft.phases)
  if (!slot) return undefined
  const expected = 'a slot written out in full, with "follows", "by" and a row for each week'
  if (!same(slot, value)) checker.add(path, expected, value)
  findOverMax(checker, draft, slot, path)
  findSlotEnds(checker, draft, slot, path)
  return slot
}
