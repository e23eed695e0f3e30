import { beforeEach, expect, test } from '@jest/globals'
import type { Edit } from './editorSlice.ts'
import { keepEdits, keptEdits } from './keptEdits.ts'

const kept = new Map<string, string>()
globalThis.localStorage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
} as Storage
beforeEach(() => kept.clear())

const one: Edit = {
  id: '5f0f4f4e-0000-4000-8000-000000000000',
  command: { do: 'setName', from: 'a', to: 'b' },
}

test('edits come back to the seat and the template that they are of, and to no other', () => {
  keepEdits('seat', 'template', [one])
  expect(keptEdits('seat', 'template')).toEqual([one])
  expect([keptEdits('other', 'template'), keptEdits('seat', 'other')]).toEqual([[], []])
  keepEdits('seat', 'template', [])
  expect(kept.size).toBe(0)
})

test.each([
  'not json',
  '7',
  'null',
  '[null, 3, {"id": 1}, {"id": "x", "command": {"do": "fromAnotherVersion"}}]',
])('what is no edit of this version is left out, and nothing throws: %s', (text) => {
  keepEdits('seat', 'template', [one])
  const [key = ''] = [...kept.keys()]
  kept.set(key, text)
  expect(keptEdits('seat', 'template')).toEqual([])
})
