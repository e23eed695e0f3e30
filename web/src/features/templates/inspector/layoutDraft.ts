import type { Layout } from '@young-oak/core/template'

type Pairs = NonNullable<Layout['sameDay']>

const isPaired = (pairs: Pairs, day: number): boolean => pairs.some(({ first }) => first === day - 1)

/** Weekdays for so many sessions, spread over the week from Monday; those of one day have one. */
export function weekdaysWith(perWeek: number, pairs: Pairs): number[] {
  const days = Array.from({ length: perWeek }, (_, i) => i + 1)
  const count = days.filter((day) => !isPaired(pairs, day)).length
  const step = Math.max(1, Math.floor(7 / count))
  let weekday = 1 - step
  return days.map((day) => {
    if (!isPaired(pairs, day)) weekday = Math.min(weekday + step, 7)
    return weekday
  })
}

/** Weekdays with another one for a day of the week, and for those on that day; later days make room where they have to. */
export function withWeekday(weekdays: number[], day: number, to: number, pairs: Pairs): number[] {
  const next = [...weekdays]
  next[day - 1] = to
  for (let i = day; i < next.length; i++) {
    const before = next[i - 1] as number
    if (isPaired(pairs, i + 1)) next[i] = before
    else if ((next[i] as number) <= before) next[i] = Math.min(before + 1, 7)
  }
  for (let i = day - 2; i >= 0; i--) {
    const after = next[i + 1] as number
    if (isPaired(pairs, i + 2)) next[i] = after
    else if ((next[i] as number) >= after) next[i] = Math.max(after - 1, 1)
  }
  return next
}

/** A layout with a session on the day of the one before it, so many hours later, or no more. */
export function withPair(layout: Layout, first: number, hours: number | null): Partial<Layout> {
  const others = (layout.sameDay ?? []).filter((pair) => pair.first !== first)
  const pairs = hours === null ? others : [...others, { first, hours }].sort((a, b) => a.first - b.first)
  const { weekdays } = layout
  const own = weekdays?.[first - 1]
  return {
    sameDay: pairs.length ? pairs : undefined,
    ...(weekdays &&
      own !== undefined && {
        weekdays: withWeekday(weekdays, first + 1, hours === null ? Math.min(own + 1, 7) : own, pairs),
      }),
  }
}

/** The most days running as it was typed; empty for any. */
export function readRunning(typed: string): { running: number | undefined } | { fault: string } {
  if (!typed) return { running: undefined }
  const running = Number(typed)
  if (Number.isInteger(running) && running >= 1 && running <= 6) return { running }
  return { fault: '1 to 6, or empty for any.' }
}

/** Whole hours from 1 to 16; null otherwise. */
export function readHours(typed: string): number | null {
  const hours = Number(typed)
  return Number.isInteger(hours) && hours >= 1 && hours <= 16 ? hours : null
}
