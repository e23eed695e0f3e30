import { beforeEach, describe, expect, test } from '@jest/globals'
import type { Operation } from '@young-oak/api/training'
import { keepChanges } from './keepChanges.ts'
import { changedEntry, forgetAll, readKept } from './kept.ts'
import {
  addOperation,
  closeOutbox,
  dropRefused,
  openOutbox,
  outbox,
  setFull,
  setTrouble,
  takeAnswers,
  takeChange,
  type Outbox,
} from './outboxSlice.ts'

/** A phone's storage, with room for so many keys. */
let kept: Map<string, string>
let room = Infinity
beforeEach(() => {
  kept = new Map()
  room = Infinity
  globalThis.localStorage = {
    get length() {
      return kept.size
    },
    key: (i: number) => [...kept.keys()][i] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (!kept.has(key) && kept.size >= room) throw new Error('QuotaExceededError')
      kept.set(key, value)
    },
    removeItem: (key: string) => void kept.delete(key),
  } as Storage
})

const close = (id: string): Operation => ({ id, kind: 'close', session: 'e:1:1' })
const reduce = (state: Outbox, ...actions: Parameters<typeof outbox.reducer>[1][]): Outbox =>
  actions.reduce<Outbox>((before, action) => outbox.reducer(before, action), state)
const opened = (seat: string): Outbox =>
  reduce(outbox.getInitialState(), openOutbox({ seat, ...readKept(seat) }))
/** A tab: what happens in it is kept as the page keeps it. */
function tab(seat: string) {
  let state = opened(seat)
  return {
    do(...actions: Parameters<typeof outbox.reducer>[1][]): Outbox {
      for (const action of actions) {
        const before = state
        state = reduce(before, action)
        const hasRoom = keepChanges(before, state)
        if (hasRoom === state.isFull) state = reduce(state, setFull(!hasRoom))
      }
      return state
    },
    now: () => state,
  }
}
const ids = (state: Outbox) => state.operations.map(({ id }) => id)

describe('the outbox', () => {
  test('gives up an operation only when it has been answered', () => {
    const one = tab('isla')
    one.do(addOperation(close('a')), addOperation(close('b')), takeAnswers([{ id: 'a', result: 'stored' }]))
    expect(ids(one.now())).toEqual(['b'])
    expect(ids(one.do(takeAnswers([{ id: 'b', result: 'already had' }])))).toEqual([])
  })
  test('sets what was refused aside, where it blocks nothing and can be dismissed', () => {
    const one = tab('isla')
    const state = one.do(
      addOperation(close('a')),
      addOperation(close('b')),
      takeAnswers([{ id: 'a', result: 'refused', code: 'notPossible', reason: 'No.' }]),
    )
    expect([ids(state), state.refused.map(({ reason }) => reason)]).toEqual([['b'], ['No.']])
    expect(opened('isla').refused.map(({ reason }) => reason)).toEqual(['No.'])
    expect(one.do(dropRefused('a')).refused).toEqual([])
    expect(opened('isla').refused).toEqual([])
  })
  test('says where another device logged the same set', () => {
    const state = tab('isla').do(
      addOperation(close('a')),
      takeAnswers([{ id: 'a', result: 'conflict', kept: 's' }]),
    )
    expect(state.refused[0]?.reason).toMatch(/on another device too/)
  })
  test('survives a closed page in its order, and is never another person’s', () => {
    tab('isla').do(
      addOperation(close('b')),
      addOperation(close('a')),
      addOperation(close('c')),
      setTrouble('away'),
    )
    expect(ids(opened('isla'))).toEqual(['b', 'a', 'c'])
    expect(ids(opened('tomas'))).toEqual([])
  })
  test('that is empty, or was given up, leaves nothing behind on the phone', () => {
    const one = tab('isla')
    one.do(addOperation(close('a')), takeAnswers([{ id: 'a', result: 'stored' }]))
    expect(kept.size).toBe(0)
    one.do(addOperation(close('b')))
    forgetAll('isla')
    expect(one.do(closeOutbox())).toEqual(outbox.getInitialState())
    expect(kept.size).toBe(0)
    expect(ids(opened('isla'))).toEqual([])
  })
  test('of two tabs is never overwritten by the other, and both know what was answered', () => {
    const [one, other] = [tab('isla'), tab('isla')]
    one.do(addOperation(close('a')))
    other.do(addOperation(close('b')))
    expect(ids(opened('isla')).sort()).toEqual(['a', 'b'])
    const [key, newValue] = [...kept].find(([name]) => name.endsWith(':a')) as [string, string]
    const change = changedEntry('isla', { key, newValue })
    expect(ids(other.do(takeChange(change as NonNullable<typeof change>)))).toEqual(['b', 'a'])
    one.do(takeAnswers([{ id: 'a', result: 'stored' }]))
    const gone = changedEntry('isla', { key, newValue: null })
    expect(ids(other.do(takeChange(gone as NonNullable<typeof gone>)))).toEqual(['b'])
    expect(ids(opened('isla'))).toEqual(['b'])
    expect(changedEntry('tomas', { key, newValue })).toBeUndefined()
  })
  test('without room on the phone goes on in the page, says so, and is kept once there is room', () => {
    room = 1
    const one = tab('isla')
    const full = one.do(addOperation(close('a')), addOperation(close('b')))
    expect([ids(full), full.isFull, ids(opened('isla'))]).toEqual([['a', 'b'], true, ['a']])
    const sent = one.do(takeAnswers([{ id: 'a', result: 'stored' }]))
    expect([ids(sent), sent.isFull, ids(opened('isla'))]).toEqual([['b'], false, ['b']])
  })
  test('entries that cannot be read are set aside and counted, and the others stand', () => {
    tab('isla').do(addOperation(close('a')), addOperation(close('b')))
    const key = [...kept.keys()].find((name) => name.endsWith(':a')) as string
    kept.set(key, '{broken')
    const state = opened('isla')
    expect([ids(state), state.unread]).toEqual([['b'], 1])
    expect([...kept.values()]).toContain('{broken')
    expect(opened('isla').unread).toBe(0)
  })
  test('of an earlier build, one box with everything in it, is taken over', () => {
    const box = {
      format: 2,
      operations: [close('a'), close('b')],
      refused: [{ operation: close('c'), reason: 'No.' }],
    }
    kept.set('young-oak-outbox:isla', JSON.stringify(box))
    const state = opened('isla')
    expect([ids(state), state.refused.length]).toEqual([['a', 'b'], 1])
    expect(kept.has('young-oak-outbox:isla')).toBe(false)
    expect(ids(opened('isla'))).toEqual(['a', 'b'])
    kept.set('young-oak-outbox:isla', 'broken')
    expect(opened('isla').unread).toBe(1)
    // Without room for each by itself the box stays, and nothing is there twice.
    room = kept.size + 2
    const more = { format: 2, operations: [close('d'), close('e')] }
    kept.set('young-oak-outbox:isla', JSON.stringify(more))
    expect(ids(opened('isla')).sort()).toEqual(['a', 'b', 'd', 'e'])
    expect(kept.has('young-oak-outbox:isla')).toBe(true)
    expect(ids(opened('isla')).sort()).toEqual(['a', 'b', 'd', 'e'])
  })
})
