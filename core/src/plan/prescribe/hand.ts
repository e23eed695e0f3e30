import { loadingAt, type Evidence, type Loading } from '../../evidence/index.ts'
import { takesSmallSteps, type Library, type Lift } from '../../library/index.ts'
import type { Hand } from '../../progressions/index.ts'
import type { Template } from '../../template/index.ts'
import { addLoad, compareLoads, rise, riseOf, snap, type Load, type Way } from '../../units/index.ts'
import { totalMade } from './round.ts'

/** What a lift's rules need of the member for numbers, with what can be made at home. */
export const handOf = (
  library: Library,
  evidence: Evidence,
  lift: Lift,
  { rounding }: Pick<Template, 'rounding'>,
): Hand => handWith(loadingAt(library, evidence, undefined, lift), rounding, takesSmallSteps(library, lift))

/** The same with what is there to load, however loads are rounded, for a lift that takes large or small steps. */
export function handWith(loading: Loading, rounding: Way, isSmall: boolean): Hand {
  const onBar = (load: Load, way = rounding) => totalMade(load, loading, way)
  return {
    unit: loading.here.unit,
    land(cut, missed) {
      const lower = onBar(cut, 'down')
      const bar = onBar(missed)
      const landed = compareLoads(lower, bar) < 0 ? lower : onBar(lessThan(bar), 'down')
      return compareLoads(landed, cut) > 0 ? cut : landed
    },
    raise(from, by) {
      const to = rise(from, by, isSmall)
      if ('percent' in by) return to
      const bar = onBar(from)
      const most = addLoad(bar, riseOf(from, by, isSmall))
      if (compareLoads(onBar(to), most) <= 0) return to
      const within = onBar(most, 'down')
      return compareLoads(within, bar) > 0 ? within : to
    },
    above(load) {
      const total = onBar(addLoad(load, { value: leastAbove, unit: load.unit }), 'up')
      return compareLoads(total, load) > 0 ? total : null
    },
    again: undefined,
  }
}

/** Less than any plate. */
const leastAbove = 0.01
const lessThan = ({ value, unit }: Load): Load => ({ value: Math.max(0, snap(value - leastAbove)), unit })
