import { object } from 'yup'
import { at, idField, type Checker, type Id } from '../../parsing/index.ts'
import { readSlot } from '../read/read.ts'
import { limits } from '../read/shape.ts'
import { findOverMax, findSlotEnds } from '../read/slotEnds.ts'
import { slotsOf, type Session, type Slot, type Template } from '../types.ts'
import { same } from './values.ts'

/** Where a slot stands: in a part of a session, behind another slot or, with an empty `after`, first. */
export type Spot = { session: Id; section: string; after: Id }

/** Where a slot stands now. */
export function spotOf({ sessions }: Pick<Template, 'sessions'>, slot: Id): Spot | null {
  for (const [session, { sections: parts }] of Object.entries(sessions))
    for (const { name, slots } of parts) {
      const place = slots.indexOf(slot)
      if (place >= 0) return { session, section: name, after: slots[place - 1] ?? '' }
    }
  return null
}

/** Behind the same slot as it was meant, or else last in its part, or last of all; null where the session is gone. */
export function spotNow(
  { sessions }: Template,
  { session: id, part, after }: { session: Id; part?: string; after: Id },
  slot?: Id,
): Spot | null {
  const parts = sessions[id]?.sections
  const own =
    parts?.find(({ slots }) => slots.includes(after)) ??
    parts?.find(({ name }) => name === part) ??
    parts?.at(-1)
  if (!own) return null
  const others = own.slots.filter((one) => one !== slot)
  const isThere = after === '' || others.includes(after)
  return { session: id, section: own.name, after: isThere ? after : (others.at(-1) ?? '') }
}

/** A slot put behind another, or first in the named part; null where the other has gone. */
export function putIn(session: Session, slot: Id, after: Id, part?: string): Session | null {
  const at = session.sections.findIndex((one) => (after ? one.slots.includes(after) : one.name === part))
  if (at < 0) return null
  const parts = session.sections.map((one, i) => {
    if (i !== at) return one
    const place = one.slots.indexOf(after) + 1
    return { ...one, slots: [...one.slots.slice(0, place), slot, ...one.slots.slice(place)] }
  })
  return { ...session, sections: parts }
}

export const without = (session: Session, slot: Id): Session => ({
  ...session,
  sections: session.sections.map((part) =>
    part.slots.includes(slot) ? { ...part, slots: part.slots.filter((one) => one !== slot) } : part,
  ),
})

export const withSlot = (draft: Template, id: Id, slot: Slot): Template => ({
  ...draft,
  slots: { ...draft.slots, [id]: slot },
})

export function findTooMany(checker: Checker, { sessions }: Template, id: Id): void {
  const count = sessions[id] ? slotsOf(sessions[id]).length : 0
  if (count >= limits.slots) checker.add(at('sessions', id), `at most ${limits.slots} slots`, count + 1)
}

/** A draft holds what was sent, so nothing may be left to a default. */
export function checkSlot(checker: Checker, draft: Template, id: Id, value: Slot): Slot | undefined {
  const path = at('slots', id)
  checker.check(object({ id: idField('a slot’s id').required() }), { id }, path)
  const slot = readSlot(checker, value, path, draft.phases)
  if (!slot) return undefined
  const expected = 'a slot written out in full, with "uses", "by" and a row for each week'
  if (!same(slot, value)) checker.add(path, expected, value)
  findOverMax(checker, draft, slot, path)
  findSlotEnds(checker, draft, slot, path)
  return slot
}
