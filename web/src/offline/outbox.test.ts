import { beforeEach, describe, expect, test } from '@jest/globals'
import type { Operation } from '@young-oak/api/training'
import {
  addOperation,
  clearOutbox,
  dropRefused,
  keep,
  openOutbox,
  outbox,
  setAway,
  takeAnswers,
  type Outbox,
} from './outboxSlice.ts'

const kept = new Map<string, string>()
globalThis.localStorage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
} as Storage
beforeEach(() => kept.clear())

const close = (id: string): Operation => ({ id, kind: 'close', session: 'e:1:1' })
const run = (...actions: Parameters<typeof outbox.reducer>[1][]): Outbox =>
  actions.reduce<Outbox>((state, action) => outbox.reducer(state, action), outbox.getInitialState())
const ids = (state: Outbox) => state.operations.map(({ id }) => id)

describe('the outbox', () => {
  test('gives up an operation only when it has been answered', () => {
    const state = run(
      openOutbox('isla'),
      addOperation(close('a')),
      addOperation(close('b')),
      takeAnswers([{ id: 'a', result: 'stored' }]),
    )
    expect(ids(state)).toEqual(['b'])
    expect(ids(outbox.reducer(state, takeAnswers([{ id: 'b', result: 'already had' }])))).toEqual([])
  })
  test('sets what was refused aside, where it blocks nothing and can be dismissed', () => {
    const state = run(
      openOutbox('isla'),
      addOperation(close('a')),
      addOperation(close('b')),
      takeAnswers([{ id: 'a', result: 'refused', code: 'notPossible', reason: 'No.' }]),
    )
    expect([ids(state), state.refused.map(({ reason }) => reason)]).toEqual([['b'], ['No.']])
    expect(outbox.reducer(state, dropRefused('a')).refused).toEqual([])
  })
  test('says where another device logged the same set', () => {
    const state = run(
      openOutbox('isla'),
      addOperation(close('a')),
      takeAnswers([{ id: 'a', result: 'conflict', kept: 's' }]),
    )
    expect(state.refused[0]?.reason).toMatch(/on another device too/)
  })
  test('survives a closed page, and is never another person’s', () => {
    keep(run(openOutbox('isla'), addOperation(close('a')), setAway(true)))
    expect(ids(run(openOutbox('isla')))).toEqual(['a'])
    expect(ids(run(openOutbox('tomas')))).toEqual([])
  })
  test('that is empty leaves nothing behind on the phone', () => {
    keep(run(openOutbox('isla'), addOperation(close('a'))))
    keep(run(openOutbox('isla'), takeAnswers([{ id: 'a', result: 'stored' }])))
    expect(kept.size).toBe(0)
    expect(run(openOutbox('isla'), clearOutbox())).toEqual(outbox.getInitialState())
  })
  test('that cannot be read back starts empty', () => {
    kept.set('young-oak-outbox:isla', '{broken')
    expect(ids(run(openOutbox('isla')))).toEqual([])
  })
})
