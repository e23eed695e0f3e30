import { expect, test } from '@jest/globals'
import type { PlannedWeek } from '@young-oak/core/plan'
import { keepSame } from './keepSame.ts'

test('a slot that says the same is the same object, and one that says something else is not', () => {
  const week = (load: number) =>
    [
      {
        week: 1,
        places: [
          {
            position: 1,
            slots: [
              { slot: 'squat', sets: [{ load: { value: load, unit: 'kg' } }] },
              { slot: 'bench', sets: [{ load: { value: 60, unit: 'kg' } }] },
            ],
          },
        ],
      },
    ] as unknown as PlannedWeek[]
  const [was, now] = [week(100), week(102.5)]
  const kept = keepSame(was, now)
  expect(kept).toEqual(now)
  expect(kept[0]?.places[0]?.slots[1]).toBe(was[0]?.places[0]?.slots[1])
  expect(kept[0]?.places[0]?.slots[0]).toBe(now[0]?.places[0]?.slots[0])
})
