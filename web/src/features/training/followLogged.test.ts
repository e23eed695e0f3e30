import { describe, expect, test } from '@jest/globals'
import { readMember } from '@young-oak/core/facts'
import { planMember, type PlannedSession } from '@young-oak/core/plan'
import { readTemplate, type Template } from '@young-oak/core/template'
import { followLogged } from './followLogged.ts'

const versions = {
  template: readTemplate({
    format: 2,
    name: 'Top set and back-offs',
    phases: [{ id: 'p', name: 'P', weeks: 1, rotation: ['a'], perWeek: 1 }],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: {
      squat: {
        exercise: 'backSquat',
        rows: {
          p: [
            [
              { id: 'top', sets: 1, goal: { reps: 3 }, load: { of: 'max', percent: 90 }, kind: 'top' },
              { id: 'back', sets: 2, goal: { reps: 5 }, load: { of: 'topSet', percent: 80 } },
            ],
          ],
        },
      },
    },
  }).template as Template,
}

/** The back-offs, once the top set was lifted at a load. */
function backOffs(lifted: number | null): (number | undefined)[] {
  const load = (value: number) => ({ value, unit: 'kg' })
  const sets = lifted === null ? [] : [{ slot: 'squat', n: 1, load: load(lifted), reps: 3 }]
  const { file, library = {} } = readMember(
    {
      format: 2,
      enrolments: [{ segments: [{ from: '2026-03-02' }] }],
      facts: [{ kind: 'max', exercise: 'backSquat', load: load(100), reps: 1, date: '2026-02-20' }],
      logs: [{ date: '2026-03-02', position: 1, closed: false, sets }],
    },
    versions,
  )
  if (!file) throw new Error('the member does not read')
  const { member, enrolments } = file
  const unlogged = { ...member, logs: [] }
  const when = { today: '2026-03-02', through: 'near' } as const
  const { plans, evidence } = planMember({ library, member: unlogged, enrolments, versions, when })
  const session = plans.enrolment?.weeks[0]?.places[0] as PlannedSession
  const [log] = member.logs
  if (!log) throw new Error('no log')
  const shown = followLogged(library, session, log, evidence)
  return (shown.slots[0]?.sets ?? []).map((one) => one.load?.value)
}

describe('back-offs on the phone', () => {
  test('are of the planned top set until it is lifted', () => expect(backOffs(null)).toEqual([90, 72.5]))

  test('follow what was lifted before the server knows of it', () => {
    expect(backOffs(100)).toEqual([90, 80])
    expect(backOffs(80)).toEqual([90, 65])
  })
})
