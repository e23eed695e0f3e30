import { expect, test } from '@jest/globals'
import { choiceOf, listedText, warmUpOf } from './warmUpChoice.ts'

test('a choice is the warm-up that it was made of', () => {
  for (const choice of ['none', 'two', 'three', 'listed'] as const) {
    const warmUp = warmUpOf(choice, listedText(undefined))
    expect(choiceOf(warmUp ?? undefined)).toBe(choice)
  }
})
test('a ladder is typed as it is read, with the bar or without', () => {
  const typed = 'bar × 8, 50 × 5, 72.5 × 3'
  const warmUp = warmUpOf('listed', typed)
  expect(warmUp).toEqual({
    kind: 'listed',
    bar: 8,
    sets: [
      { percent: 50, reps: 5 },
      { percent: 72.5, reps: 3 },
    ],
  })
  expect(listedText(warmUp ?? undefined)).toBe(typed)
  expect(warmUpOf('listed', '50%x5,70x3')).toMatchObject({ sets: [{ percent: 50 }, { percent: 70 }] })
})
test.each(['', 'heavy', 'bar × 10', '60 × 3, 40 × 5', '5 × 5', '99 × 1', '50 × 0'])(
  'a ladder of "%s" does not read',
  (typed) => expect(warmUpOf('listed', typed)).toBeUndefined(),
)
