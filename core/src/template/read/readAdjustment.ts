import {
  type Where,
  type Adjustment,
  changeNames,
  changeOf,
  type Change,
  type ChangeName,
} from '../../adjustments/index.ts'
import { at, type Checker } from '../../parsing/index.ts'
import { readKind } from './readKind.ts'
import { adjustmentShape, whereShape } from './shape.ts'

/** A change and where it acts, of a track, a deload or a member. */
export function readAdjustment(checker: Checker, value: unknown, path: string): Adjustment | undefined {
  const piece = checker.check(adjustmentShape, value, path)
  if (!piece) return undefined
  const change = readChange(checker, piece.do, at(path, 'do'))
  const where = checker.check(whereShape, piece.where, at(path, 'where')) as Where | undefined
  return change && where && { id: piece.id, do: change, where }
}

/** A track's or a member's own: whom it is for is said already. */
export function readChangeOf(checker: Checker, value: unknown, path: string): Adjustment | undefined {
  const adjustment = readAdjustment(checker, value, path)
  for (const key of ['tracks', 'training'] as const)
    if (adjustment?.where[key])
      checker.add(
        at(at(path, 'where'), key),
        'a deload',
        adjustment.where[key],
        'Only deloads are for some tracks or training ages: leave it out.',
      )
  return adjustment
}

/** A deload's: it lowers something, raises nothing, and says in which weeks of the phase. */
export function readDeload(
  checker: Checker,
  value: unknown,
  path: string,
  weeks: number,
): Adjustment | undefined {
  const deload = readAdjustment(checker, value, path)
  if (!deload) return undefined
  if (!changeOf[deload.do.kind].lightens(deload.do)) {
    const expected = 'a change that lowers something and raises nothing'
    checker.add(at(path, 'do'), expected, deload.do, 'A deload is never heavier than its week.')
  }
  const where = at(path, 'where')
  if (!deload.where.weeks && !deload.where.toTest)
    checker.add(at(where, 'weeks'), 'the deload weeks of the phase', undefined, 'Add it.')
  deload.where.weeks?.forEach((week, i) => {
    if (week > weeks) checker.add(at(at(where, 'weeks'), i), `a week of this phase, 1 to ${weeks}`, week)
  })
  return deload
}

export const readChange = (checker: Checker, value: unknown, path: string): Change | undefined =>
  readKind(checker, value, path, 'kind', changeNames, (kind) => changeOf[kind as ChangeName])
