import { expect, test } from '@jest/globals'
import { readSet } from './readSet.ts'

const typed = { load: '100', unit: 'kg' as const, reps: '5', rir: '0' }

test('a set is read, with a decimal comma and nothing left said', () => {
  expect(readSet({ ...typed, load: '82,5', rir: '' })).toEqual({
    set: { load: { value: 82.5, unit: 'kg' }, reps: 5, rir: 0 },
    errors: {},
  })
})
test('before a load is typed nothing is wrong, and there is no set', () => {
  expect(readSet({ ...typed, load: ' ' })).toEqual({ errors: {} })
})
test.each([
  ['load', '-5', 'A load above 0 and at most 1000.'],
  ['load', 'x', 'A load above 0 and at most 1000.'],
  ['reps', '0', 'Whole reps, 1 to 20.'],
  ['reps', '40', 'Whole reps, 1 to 20.'],
  ['reps', '', 'Whole reps, 1 to 20.'],
  ['rir', '5', '0 to 4: more is not trusted.'],
] as const)('%s of "%s" is refused beside its field', (field, value, said) => {
  expect(readSet({ ...typed, [field]: value })).toEqual({ errors: { [field]: said } })
})
