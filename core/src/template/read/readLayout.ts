import { at, fieldIn, type Checker, type Id } from '../../parsing/index.ts'
import { splitRests } from '../rests.ts'
import type { Layout, Phase } from '../types.ts'

/** How a file may write a day of rest among the sessions of a rotation. */
const restDay = 'rest'

/** A rotation without the days of rest that a file may have among its sessions, which are its layout's; a session of that id is a session. */
export function restsIn(
  checker: Checker,
  { rotation: written, layout }: Pick<Phase, 'rotation' | 'layout'>,
  sessions: unknown,
  path: string,
): Pick<Phase, 'rotation' | 'layout'> {
  const isRest = (id: Id) => id === restDay && fieldIn(sessions, restDay) === undefined
  if (!written.some(isRest)) return { rotation: written, ...(layout && { layout }) }
  const { rotation, rest } = splitRests(written.map((id) => (isRest(id) ? null : id)))
  const place = at(path, 'rotation')
  if (!rotation.length) {
    checker.add(place, 'a session beside the days of rest', written, 'Name the sessions of the rotation.')
    return { rotation: written }
  }
  if (layout?.rest)
    checker.add(at(at(path, 'layout'), 'rest'), 'days of rest in the rotation or here', layout.rest)
  written.forEach((id, i) => {
    if (!isRest(id) && fieldIn(sessions, id) === undefined)
      checker.add(at(place, i), 'a session of this template, or "rest"', id)
  })
  return { rotation, layout: { ...layout, rest } }
}

/** Notes what a layout names that the phase has not, and days that contradict each other. */
export function findLayout(
  checker: Checker,
  { rotation, perWeek, layout }: { rotation: Id[]; perWeek: number; layout: Layout },
  phase: string,
): void {
  const path = at(phase, 'layout')
  const { rest, running, weekdays, sameDay = [] } = layout
  if (!rest && running === undefined && !weekdays && !sameDay.length)
    checker.add(path, '"weekdays", "rest", "running" or "sameDay"', layout)
  rest?.forEach((after, i) => {
    if (after > rotation.length)
      checker.add(at(at(path, 'rest'), i), `a session of the rotation, 1 to ${rotation.length}`, after)
  })
  if (weekdays && (rest || running !== undefined))
    checker.add(at(path, 'weekdays'), 'weekdays, or days of rest and days in a row', weekdays)
  const firsts = sameDay.map(({ first }) => first)
  sameDay.forEach(({ first }, i) => {
    const place = at(at(at(path, 'sameDay'), i), 'first')
    if (first >= perWeek)
      checker.add(
        place,
        perWeek < 2 ? 'a week of two sessions' : `a session of the week, 1 to ${perWeek - 1}`,
        first,
      )
    else if (firsts.indexOf(first) !== i) checker.add(place, 'each session once', first)
  })
  if (weekdays) findWeekdays(checker, weekdays, perWeek, firsts, at(path, 'weekdays'))
}

function findWeekdays(
  checker: Checker,
  weekdays: number[],
  perWeek: number,
  firsts: number[],
  path: string,
): void {
  if (weekdays.length !== perWeek)
    return checker.add(path, `${perWeek} weekdays, one for each session of the week`, weekdays)
  let span = 0
  for (let i = 1; i < weekdays.length; i++) {
    const gap = ((weekdays[i] as number) - (weekdays[i - 1] as number) + 7) % 7
    const isPair = firsts.includes(i)
    span += gap
    if (isPair === (gap === 0) && span < 7) continue
    const expected = isPair
      ? 'the weekday of the session before'
      : 'a weekday after the one before, within a week'
    const fix = gap === 0 ? 'For two sessions on one day name the first in "sameDay".' : undefined
    return checker.add(at(path, i), expected, weekdays[i], fix)
  }
}
