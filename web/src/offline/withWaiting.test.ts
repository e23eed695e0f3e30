import { expect, test } from '@jest/globals'
import type { Operation } from '@young-oak/api/training'
import type { Shown } from '@young-oak/core/member'
import { withWaiting } from './withWaiting.ts'

const set = (id: string, rev: number, reps: number): Operation => ({
  id,
  kind: 'set',
  session: 'e:p.1.1:1',
  rev,
  set: { slot: 'squat', n: 1, exercise: 'backSquat', state: 'done', load: { value: 60, unit: 'kg' }, reps },
})
const shown: Shown = {
  format: 2,
  engine: '0.12.0',
  version: 'v',
  at: { phase: 'p', week: 1, phaseWeek: 1, inWeek: 1, session: 's', deload: null },
  slots: {},
}
const started = (id: string, minute: number): Operation => ({
  id,
  kind: 'start',
  enrolment: 'e',
  position: 1,
  date: '2026-03-02',
  minute,
  shown,
})
const start = started('a', 600)

test('a session that was started without signal is there, with its sets, open', () => {
  const [log] = withWaiting([], [start, set('b', 1, 5)])
  expect(log).toMatchObject({
    id: 'e:p.1.1:1',
    at: { phase: 'p', week: 1, day: 1 },
    minute: 600,
    closed: false,
  })
  expect(log?.sets).toMatchObject([{ id: 'e:p.1.1:1:squat:1', reps: 5, change: 'b' }])
})

test('a corrected set stands once, as corrected, and the server’s copy is left alone', () => {
  const [server] = withWaiting([], [start, set('b', 1, 5)])
  const [log] = withWaiting(server ? [server] : [], [
    set('c', 2, 4),
    { id: 'd', kind: 'close', session: 'e:p.1.1:1' },
  ])
  expect(log).toMatchObject({ closed: true, sets: [{ reps: 4, rev: 2 }] })
  expect(server).toMatchObject({ closed: false, sets: [{ reps: 5 }] })
})

test('an entry for a session that nobody knows shows nothing', () => {
  expect(withWaiting([], [set('b', 1, 5)])).toEqual([])
})

test('a session that another phone has started too is that of the first start, whichever is known first', () => {
  const [own] = withWaiting([], [start])
  const [earlier] = withWaiting(own ? [own] : [], [started('b', 590)])
  const [later] = withWaiting(own ? [own] : [], [started('b', 610)])
  expect([earlier?.change, later?.change]).toEqual(['b', 'a'])
  expect(earlier?.starts).toHaveLength(2)
})

test('a start of an earlier build names a position', () => {
  const old: Operation = { id: 'o', kind: 'startByPosition', enrolment: 'e', position: 3, date: '2026-03-02' }
  expect(withWaiting([], [old])).toMatchObject([{ id: 'e:3:1', position: 3, change: 'o' }])
})
