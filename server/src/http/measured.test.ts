import { expect, test } from '@jest/globals'
import { array, mixed, object, string } from 'yup'
import { tooLong } from './measured.ts'

let checked = 0
const item = mixed().test('counts', () => {
  checked += 1
  return true
})
const schema = object({
  name: string().max(3),
  rows: array().of(item).max(200),
  deep: object({ ids: array().max(2) }),
})

test('a list is measured by its length alone, wherever it stands, and nothing in it is looked at', () => {
  expect(tooLong(schema, { rows: Array.from({ length: 190_000 }) })).toEqual({ path: 'rows', most: 200 })
  expect(tooLong(schema, { rows: [], deep: { ids: [1, 2, 3] } })).toEqual({ path: 'deep.ids', most: 2 })
  expect(checked).toBe(0)
})
test('what fits, or is no list at all, is left to its schema', () => {
  for (const value of [{ rows: Array.from({ length: 200 }) }, { rows: 'abc' }, { deep: null }, null, 7, {}])
    expect(tooLong(schema, value)).toBeNull()
})
