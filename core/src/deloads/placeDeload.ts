import type { Where, Adjustment } from '../adjustments/index.ts'
import type { Muscle } from '../library/index.ts'
import { deloadOf, type DeloadKind } from './registry.ts'

/** Which weeks are to be light: these of the phase, from 1; or so many weeks before the test. */
export type Placing = { weeks: number[] } | { toTest: number[] }

/** A recipe in its place, as the adjustments that a phase stores; of some muscle groups alone where it says so. */
export function placeDeload(
  kind: DeloadKind,
  params: object,
  placing: Placing,
  mint: (n: number) => string,
  muscles: Muscle[] = [],
): Adjustment[] {
  let n = 0
  return deloadOf[kind].weeks(params).flatMap(({ toTest, do: changes }) =>
    changes.map((change): Adjustment => {
      const where: Where = {
        ...(toTest === undefined ? placing : { toTest: [toTest] }),
        ...(muscles.length > 0 && { muscles }),
      }
      return { id: mint(n++), do: change, where }
    }),
  )
}

/** Every nth week of a phase, counted from its start: `everyNth(12, 4)` is 4, 8, 12. */
export const everyNth = (weeks: number, n: number): number[] =>
  Array.from({ length: Math.floor(weeks / n) }, (_, i) => (i + 1) * n)
