import { expect, test } from '@jest/globals'
import type { Operation } from '@young-oak/api/training'
import { withWaiting } from './withWaiting.ts'

const set = (id: string, rev: number, reps: number): Operation => ({
  id,
  kind: 'set',
  session: 'e:1:1',
  rev,
  set: { slot: 'squat', n: 1, exercise: 'backSquat', state: 'done', load: { value: 60, unit: 'kg' }, reps },
})
const start: Operation = { id: 'a', kind: 'start', enrolment: 'e', position: 1, date: '2026-03-02' }

test('a session that was started without signal is there, with its sets, open', () => {
  const [log] = withWaiting([], [start, set('b', 1, 5)])
  expect(log).toMatchObject({ id: 'e:1:1', position: 1, closed: false })
  expect(log?.sets).toMatchObject([{ id: 'e:1:1:squat:1', reps: 5, change: 'b' }])
})

test('a corrected set stands once, as corrected, and the server’s copy is left alone', () => {
  const [server] = withWaiting([], [start, set('b', 1, 5)])
  const [log] = withWaiting(server ? [server] : [], [
    set('c', 2, 4),
    { id: 'd', kind: 'close', session: 'e:1:1' },
  ])
  expect(log).toMatchObject({ closed: true, sets: [{ reps: 4, rev: 2 }] })
  expect(server).toMatchObject({ closed: false, sets: [{ reps: 5 }] })
})

test('an entry for a session that nobody knows shows nothing', () => {
  expect(withWaiting([], [set('b', 1, 5)])).toEqual([])
})
