import { expect, test } from '@jest/globals'
import { sayReps } from './sayReps.ts'

const max = { value: 100, unit: 'kg' as const }

// Haff & Triplett (eds.), Essentials of Strength Training and Conditioning, 4th ed., 2016, quoted from memory: 8 reps at 80%, 5 at 87%.
test.each([
  ['80', '80% of the 1RM: 8 reps (Handbook table)'],
  ['82,5', '82.5% of the 1RM: 7 reps (Handbook table)'],
  ['100', '100% of the 1RM: 1 rep (Handbook table)'],
  ['102.5', '102.5% of the 1RM: above the 1RM, no reps'],
  ['20', '20% of the 1RM: 40 reps or more (Handbook table)'],
])('%s kg of a max of 100 kg is %s', (typed, said) => {
  expect(sayReps(typed, max, 'handbook')).toEqual({ said })
})

test('by a formula the other way round', () =>
  expect(sayReps('75', max, 'brzycki').said).toBe('75% of the 1RM: 10 reps (Brzycki, inverted)'))

test('nothing, and no load, are told apart', () => {
  expect(sayReps(' ', max, 'handbook')).toEqual({})
  expect(sayReps('x', max, 'handbook').error).toMatch(/load above 0/)
})
