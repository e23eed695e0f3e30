import { beforeEach, describe, expect, test } from '@jest/globals'
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
const nothing = { waiting: [], aside: [] }
const put = (value: unknown) =>
  kept.set('young-oak/edits/seat/template', typeof value === 'string' ? value : JSON.stringify(value))

test('edits come back to the seat and the template that they are of, and to no other', () => {
  const aside = [{ id: 'x', name: 'Name', reason: 'It was changed.', command: one.command }]
  keepEdits('seat', 'template', { waiting: [one], aside })
  expect(keptEdits('seat', 'template')).toEqual({ waiting: [one], aside })
  expect([keptEdits('other', 'template'), keptEdits('seat', 'other')]).toEqual([nothing, nothing])
  keepEdits('seat', 'template', nothing)
  expect(kept.size).toBe(0)
})

describe('what another build kept', () => {
  test('is read in the words of today, where it was a bare list', () => {
    const command = {
      do: 'setCell',
      slot: 's',
      phase: 'p',
      row: 0,
      group: 'a',
      field: 'part',
      from: null,
      to: 'top',
    }
    put([one, { id: 'b', command }, { id: 'c', command: { do: 'setLight', phase: 'p', from: [], to: [] } }])
    expect(keptEdits('seat', 'template')).toEqual({
      waiting: [
        one,
        {
          id: 'b',
          command: {
            do: 'setCell',
            slot: 's',
            phase: 'p',
            row: 0,
            prescription: 'a',
            field: 'kind',
            from: null,
            to: 'top',
          },
        },
        { id: 'c', command: { do: 'setDeloads', phase: 'p', from: [], to: [] } },
      ],
      aside: [],
    })
  })

  test.each([
    'not json',
    7,
    null,
    [null, 3, { id: 1 }, { id: 'x', command: { do: 'fromAnotherVersion' } }],
    { format: 9, waiting: [{ id: 'x', command: { do: 'fromTheFuture' } }], aside: [{ what: 'ever' }] },
  ])('and cannot be read is set aside in sight, and stays there: %j', (value) => {
    put(value)
    const { waiting, aside } = keptEdits('seat', 'template')
    expect(waiting).toEqual([])
    expect(aside.length).toBeGreaterThan(0)
    for (const { says, reason } of aside)
      expect([says, reason]).toEqual([expect.any(String), expect.any(String)])
    keepEdits('seat', 'template', { waiting, aside })
    expect(keptEdits('seat', 'template')).toEqual({ waiting, aside })
  })
})
