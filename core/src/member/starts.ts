import type { SessionLog, ShownSlot, Start } from './types.ts'

/** True when `a` is the session's start rather than `b`: the first by day, minute and id. */
function isFirstStart(a: Start, b: Start): boolean {
  if (a.date !== b.date) return a.date < b.date
  if (a.minute !== b.minute) return a.minute < b.minute
  return a.change < b.change
}

/** A session with one more start of it; the first of them all is the session's. One that it has already changes nothing. */
export function withStart(log: SessionLog, start: Start): SessionLog {
  const had = startsOf(log)
  if (had.some(({ change }) => change === start.change)) return log
  const starts = [...had, start]
  return { ...asStarted(log, first(starts)), starts }
}

/** The starts of a session; the only one of most is the session itself. */
function startsOf({ starts, change, date, minute = 0, location, shown }: SessionLog): Start[] {
  if (starts?.length) return starts
  return [
    {
      change: change ?? '',
      date,
      minute,
      ...(location !== undefined && { location }),
      ...(shown && { shown }),
    },
  ]
}

const first = (starts: Start[]): Start => starts.reduce((a, b) => (isFirstStart(b, a) ? b : a))

function asStarted(log: SessionLog, { change, date, minute, location, shown }: Start): SessionLog {
  const { location: _, shown: __, ...rest } = log
  return {
    ...rest,
    change,
    date,
    minute,
    ...(location !== undefined && { location }),
    ...(shown && { shown }),
  }
}

/**
 * A session that several phones started, as it counts: of the first start, with each slot as it was shown by the start that its sets name.
 * Its sets have been resolved.
 */
export function asCounted(log: SessionLog): SessionLog {
  const { starts, sets } = log
  if (!starts?.length) return log
  const own = first(starts)
  const made = asStarted(log, own)
  if (!own.shown) return made
  const slots: Record<string, ShownSlot> = { ...own.shown.slots }
  for (const slot of new Set(sets.map((set) => set.slot))) {
    const named = sets.filter((set) => set.slot === slot && set.start).sort((a, b) => a.n - b.n)[0]?.start
    const was = starts.find(({ change }) => change === named)?.shown?.slots[slot]
    if (was) slots[slot] = was
  }
  return { ...made, shown: { ...own.shown, slots } }
}
