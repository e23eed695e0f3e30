import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  compareLoads,
  makeable,
  scale,
  usualFixed,
  usualRack,
  type Load,
  type Makeable,
} from '../../units/index.ts'
import { handWith } from './hand.ts'
import { make } from './round.ts'

const dumbbells: Makeable = usualFixed.dumbbells.kg
const racks = [makeable(usualRack.kg), dumbbells, usualFixed.machine.kg]
const kg = (value: number): Load => ({ value, unit: 'kg' })

const any = fc.record({
  rack: fc.constantFrom(...racks),
  way: fc.constantFrom('nearest' as const, 'nearestDown' as const, 'down' as const, 'up' as const),
  load: fc.integer({ min: 40, max: 400 }).map((quarters) => quarters / 4),
  percent: fc.integer({ min: 1, max: 50 }),
  step: fc.integer({ min: 1, max: 24 }).map((quarters) => quarters / 4),
})

test('a cut never lands above itself, nor back on the load that was missed while there is a lighter one', () => {
  fc.assert(
    fc.property(any, ({ rack, way, load, percent }) => {
      const loading = { here: rack, home: rack }
      const cut = scale(kg(load), 100 - percent)
      const landed = handWith(loading, way, false).land(cut, kg(load))
      expect(compareLoads(landed, cut)).toBeLessThanOrEqual(0)
      const missed = make(kg(load), loading, way).total
      const bar = make(landed, loading, way).total
      if (missed.value > (rack.loads[0] ?? 0)) expect(bar.value).toBeLessThan(missed.value)
    }),
  )
})

test('a step skips no weight that lies within it, and steps finer than the plates add up', () => {
  fc.assert(
    fc.property(any, ({ rack, way, load, step }) => {
      const loading = { here: rack, home: rack }
      const onBar = (of: Load) => make(of, loading, way).total.value
      const hand = handWith(loading, way, false)
      const from = kg(load)
      const to = hand.raise(from, { kg: step, lb: 5 })
      const [before, after] = [onBar(from), onBar(to)]
      const within = rack.loads.filter((one) => one > before && one <= before + step)
      expect(after).toBeGreaterThanOrEqual(before)
      if (within.length) expect(after).toBeLessThanOrEqual(within.at(-1) as number)
      // However fine, steps come to something.
      let at = from
      for (let i = 0; i < 40; i++) at = hand.raise(at, { kg: step, lb: 5 })
      expect(at.value).toBeGreaterThan(load)
    }),
  )
})
