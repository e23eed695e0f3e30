import type { Id } from '../parsing/index.ts'
import type { Command, Layout, Phase } from '../template/index.ts'

/** A layout for other sessions, and so many a week: `rest` are its days of rest, where those change too; null where nothing is left of it. */
export function layoutFor(
  { layout }: Pick<Phase, 'layout'>,
  rotation: Id[],
  perWeek: number,
  rest = layout?.rest,
): Layout | null {
  const kept = rest?.filter((after) => after <= rotation.length)
  const sameDay = layout?.sameDay?.filter(({ first }) => first < perWeek)
  const to: Layout = {
    ...(kept?.length && { rest: kept }),
    ...(layout?.running !== undefined && { running: layout.running }),
    ...(layout?.weekdays && { weekdays: weekdaysFor(layout.weekdays, perWeek) }),
    ...(sameDay?.length && { sameDay }),
  }
  return Object.keys(to).length ? to : null
}

/** The weekdays of so many sessions: more come on the days after the last, as long as the week has some. */
function weekdaysFor(weekdays: number[], perWeek: number): number[] {
  const to = weekdays.slice(0, perWeek)
  while (to.length < perWeek && to.length) to.push(((to.at(-1) as number) % 7) + 1)
  return to
}

/** The step that a phase's layout needs beside others; none where it stays. */
export function layoutStep(own: Phase, to: Layout | null): Command[] {
  const from = own.layout ?? null
  if (JSON.stringify(from) === JSON.stringify(to)) return []
  return [{ do: 'setPhase', phase: own.id, field: 'layout', from, to }]
}
