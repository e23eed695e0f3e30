import { forgetEntry, keepEntries } from './kept.ts'
import { entriesOf, type Outbox } from './outboxSlice.ts'

/** Keeps what is new and takes away what is gone, so that a closed page or a flat battery loses nothing; false where there is no room. */
export function keepChanges(before: Outbox, now: Outbox): boolean {
  const { seat } = now
  if (!seat || before.seat !== seat) return true
  const [were, are] = [entriesOf(before), entriesOf(now)]
  for (const id of were.keys()) if (!are.has(id)) forgetEntry(seat, id)
  // Where there was no room for all, all are tried again: something may have been sent meanwhile.
  const fresh = [...are].filter(
    ([id, { reason }]) => before.isFull || were.get(id)?.reason !== reason || !were.has(id),
  )
  return fresh.length
    ? keepEntries(
        seat,
        fresh.map(([, entry]) => entry),
      )
    : !now.isFull || are.size === 0
}
