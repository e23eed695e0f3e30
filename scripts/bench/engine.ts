// The engine's figures: one member, as DESIGN states them, replayed whole and from a checkpoint.
import type { Fact, Member } from '@young-oak/core/facts'
import { setLogId, sessionLogId, type Enrolment, type SetLog } from '@young-oak/core/member'
import { planMember, snapshot, type Checkpoint, type Plan } from '@young-oak/core/plan'
import { readTemplate, type Template } from '@young-oak/core/template'
import { addDays, usualRack, type Day } from '@young-oak/core/units'
import type { Figure } from './figure.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start: Day = '2026-01-05'
const lifts = ['backSquat', 'benchPress', 'deadlift', 'overheadPress', 'barbellRow', 'frontSquat'] as const
const enrolments: Enrolment[] = [{ id: 'e', segments: [{ from: start, version: 'v' }] }]

/** Four days a week of six slots: half by a rule, half by percents, four sets each, a deload every fourth. */
export function benchTemplate(weeks: number): Template {
  const slots: Record<string, object> = {}
  const progressions: Record<string, object> = {}
  const sessions: Record<string, object> = {}
  for (const [d, day] of ['a', 'b', 'c', 'd'].entries()) {
    const ids = lifts.map((exercise, i) => {
      const id = `${day}-${exercise}`
      const isRuled = (i + d) % 2 === 0
      const load = (week: number) =>
        isRuled ? { of: 'progression' } : { of: 'max', percent: 65 + ((week * 2.5) % 20) }
      if (isRuled)
        progressions[exercise] = {
          stages: [
            {
              id: 'one',
              rule: 'linear',
              params: { startPercent: 60, step: { kg: 1.25, lb: 2.5 }, misses: 3, resetBy: 10 },
            },
          ],
        }
      slots[id] = {
        exercise,
        ...(isRuled && { uses: [{ progression: exercise }] }),
        rows: {
          p: Array.from({ length: weeks }, (_, week) => [{ sets: 4, goal: { reps: 5 }, load: load(week) }]),
        },
      }
      return id
    })
    sessions[day] = { name: day.toUpperCase(), sections: [{ name: 'Main', slots: ids }] }
  }
  const deload = Array.from({ length: Math.floor(weeks / 4) }, (_, i) => (i + 1) * 4)
  const { template, issues } = readTemplate({
    format: 2,
    name: 'Bench',
    phases: [
      {
        id: 'p',
        name: 'Block',
        weeks,
        rotation: ['a', 'b', 'c', 'd'],
        perWeek: 4,
        deloads: [{ id: 'l', do: { kind: 'scaleLoad', by: -10 }, where: { weeks: deload } }],
      },
    ],
    sessions,
    slots,
    progressions,
  })
  if (!template) throw new Error(JSON.stringify(issues.slice(0, 3)))
  return template
}

const facts: Fact[] = [
  {
    id: 'place',
    rev: 1,
    date: start,
    actsFrom: start,
    kind: 'equipment',
    location: 'home',
    racks: [usualRack.kg],
  },
  ...lifts.map((exercise, i): Fact => ({
    id: exercise,
    rev: 1,
    date: start,
    actsFrom: start,
    kind: 'max',
    exercise,
    load: { value: 100 + 10 * i, unit: 'kg' },
    reps: 1,
    how: 'tested',
  })),
]

/** Trains so many weeks through the engine, as the app does: shown, then logged. */
function train(
  template: Template,
  weeks: number,
): { member: Member; today: Day; checkpoint: Checkpoint | null } {
  const member: Member = { facts, logs: [] }
  let checkpoint: Checkpoint | null = null
  const days = [0, 1, 3, 4]
  for (let i = 0; i < weeks * 4; i++) {
    const day = addDays(start, 7 * Math.floor(i / 4) + (days[i % 4] as number))
    const planned = planMember(
      { library, member, enrolments, versions: { v: template }, when: { today: day, through: 'near' } },
      checkpoint,
    )
    checkpoint = planned.checkpoint
    const plan = planned.plans.e as Plan
    const place = plan.weeks.flatMap(({ places }) => places).find(({ position }) => position === plan.next)
    if (!place) break
    const id = sessionLogId('e', place.position, 1)
    const sets = place.slots.flatMap(({ slot, exercise, sets: prescriptions }) =>
      prescriptions.flatMap(({ sets: count, load }) =>
        Array.from({ length: count }, (_, n): SetLog => ({
          id: setLogId(id, slot, n + 1),
          rev: 1,
          slot,
          n: n + 1,
          exercise,
          state: 'done',
          ...(load && { load }),
          reps: i % 7 === 6 && n === 3 ? 3 : 5,
        })),
      ),
    )
    member.logs.push({
      id,
      rev: 1,
      date: day,
      enrolment: 'e',
      position: place.position,
      attempt: 1,
      ordinal: 1,
      closed: true,
      shown: snapshot(plan, place.position) ?? undefined,
      sets,
    })
  }
  return { member, today: addDays(start, weeks * 7), checkpoint }
}

/** Median of the runs, in milliseconds, after a warm-up. */
function median(runs: number, work: () => unknown): number {
  for (let i = 0; i < Math.min(runs, 200); i++) work()
  const times = Array.from({ length: runs }, () => {
    const from = performance.now()
    work()
    return performance.now() - from
  }).sort((a, b) => a - b)
  return times[Math.floor(runs / 2)] as number
}

/** The same on fresh objects each time, as a server reads them: nothing is remembered from one call to the next. */
function medianFresh(runs: number, member: Member, work: (member: Member) => unknown): number {
  const text = JSON.stringify(member)
  const times = Array.from({ length: runs + 20 }, () => {
    const fresh = JSON.parse(text) as Member
    const from = performance.now()
    work(fresh)
    return performance.now() - from
  })
    .slice(20)
    .sort((a, b) => a - b)
  return times[Math.floor(runs / 2)] as number
}

export function benchEngine(): Figure[] {
  const template = benchTemplate(16)
  const { member, today, checkpoint } = train(template, 8)
  const plan = (of: Member, through: 'end' | 'near' | 'next', from?: Checkpoint | null) =>
    planMember({ library, member: of, enrolments, versions: { v: template }, when: { today, through } }, from)
  const whole = median(400, () => plan(member, 'end'))
  const near = median(400, () => plan(member, 'near'))
  const kept = plan(member, 'near', checkpoint).checkpoint
  const resumed = median(400, () => plan(member, 'near', kept))
  const wholeFresh = medianFresh(200, member, (fresh) => plan(fresh, 'end'))
  const resumedFresh = medianFresh(200, member, (fresh) => plan(fresh, 'near', kept))
  // As jobs read them: nothing was trained since.
  const last = plan(member, 'next').checkpoint
  const since = { ...member, logs: member.logs.filter(({ date }) => date > (last?.through ?? '')) }
  const next = median(400, () => plan(since, 'next', last))
  const nextFresh = medianFresh(200, since, (fresh) => plan(fresh, 'next', last))
  const long = benchTemplate(60)
  const years = threeYears(long)
  const old = median(40, () =>
    planMember({
      library,
      member: years.member,
      enrolments: years.enrolments,
      versions: { v: long },
      when: { today: years.today, through: 'near' },
    }),
  )
  const oldFresh = medianFresh(20, years.member, (fresh) =>
    planMember({
      library,
      member: fresh,
      enrolments: years.enrolments,
      versions: { v: long },
      when: { today: years.today, through: 'near' },
    }),
  )
  return [
    {
      what: 'plan: 16 weeks × 4 days × 6 slots × 4 sets, 8 weeks replayed, whole',
      value: whole,
      budget: 1,
      unit: 'ms',
    },
    { what: 'plan: the same, on fresh objects', value: wholeFresh, budget: 2, unit: 'ms' },
    { what: 'plan: the same, this week and the next, no checkpoint', value: near, unit: 'ms' },
    { what: 'plan: the same, from a checkpoint', value: resumed, budget: 0.2, unit: 'ms' },
    {
      what: 'plan: the same, from a checkpoint, on fresh objects',
      value: resumedFresh,
      budget: 0.6,
      unit: 'ms',
    },
    { what: 'plan: the next sessions alone, from the last day before', value: next, budget: 0.2, unit: 'ms' },
    { what: 'plan: the same, on fresh objects', value: nextFresh, budget: 0.6, unit: 'ms' },
    {
      what: `plan: three years of logs (${years.member.logs.length} sessions), no checkpoint`,
      value: old,
      budget: 15,
      unit: 'ms',
    },
    {
      what: 'plan: the same, on fresh objects',
      value: oldFresh,
      budget: 20,
      unit: 'ms',
    },
  ]
}

/** Three enrolments one after the other, a year each, on a template of 52 weeks and more. */
function threeYears(template: Template) {
  const { member } = train(template, 52)
  const shift = (log: Member['logs'][number], year: number) => ({
    ...log,
    id: `${year}:${log.id}`,
    date: addDays(log.date, 364 * year),
    enrolment: `e${year}`,
  })
  const logs = [0, 1, 2].flatMap((year) => member.logs.map((log) => shift(log, year)))
  return {
    member: { facts, logs },
    enrolments: [0, 1, 2].map((year): Enrolment => ({
      id: `e${year}`,
      segments: [{ from: addDays(start, 364 * year), version: 'v' }],
    })),
    today: addDays(start, 364 * 3),
  }
}
