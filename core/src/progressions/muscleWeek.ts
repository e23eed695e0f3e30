import type { Answers } from './answers.ts'
import { type WhyStep, declareSteps } from '../words/index.ts'
import { muscles, type Muscle } from '../library/index.ts'
import { choiceField, numberField, strictObject, wholeField } from '../parsing/index.ts'
import { formatNumber, snap } from '../units/index.ts'
import { defineRule } from './rule.ts'

const say = declareSteps({
  'muscleWeek.share': '{target} sets of {muscle} this week over {slots} exercises: {sets} here',
  'muscleWeek.capped':
    '{target} sets of {muscle} are planned this week, but {slots} exercises of at most {cap} sets hold {all}: {sets} here',
  'muscleWeek.least':
    '{target} sets of {muscle} are planned this week, but each of {slots} exercises has at least one: {sets} here',
  'muscleWeek.limit': 'the member’s own limit, {limit} sets of {muscle} a week, is below the planned {meant}',
  'muscleWeek.more': 'week {week} was trained: +{added} sets of {muscle}, {sets} now',
  'muscleWeek.fewer': 'week {week} was trained: −{removed} sets of {muscle}, {sets} now',
  'muscleWeek.stays': 'week {week} was trained; the sets of {muscle} stay at {sets}: {reason}',
  'muscleWeek.lower': '{weeks} rising weeks are done: a lower week at {percent}%, {sets} sets of {muscle}',
  'muscleWeek.again': 'the lower week is done: {sets} sets of {muscle} again',
})

type Params = {
  muscle: Muscle
  /** Hard sets a week to begin with, and the most there are ever to be; 1 to 60. */
  first: number
  most: number
  /** Sets that a week adds where nobody is asked, or nobody has answered; 0 to 3. */
  add: number
  /** The most that answers after sessions may add in a week; 1 to 3. Without it they are not heard. */
  answersAdd?: number
  /** Weeks of a rise, and the lower week behind it in percent of the last; 2 to 12, 30 to 100. */
  weeks: number
  lowerWeek: number
  /** The most sets of one slot in one session; 1 to 20. */
  cap: number
}
type State = {
  sets: number
  /** Weeks of the rise behind this one; as many as there are in the lower week. */
  risen: number
  /** The latest week with an exposure: the target moves in the first one after it. */
  heard: { week: number; inWeek?: number; added: number; isSore: boolean; answers: number } | null
  why: WhyStep[]
}

/** How much a slot counts when sets are dealt out: three of the first for two of the second and one of the last. */
const weights: Record<string, number> = { first: 3, second: 2, last: 1 }

/**
 * A muscle's hard sets a week, shared over the slots that follow it by priority and cap. It rises for some weeks, has a lower one,
 * and begins again; answers after sessions move it within these limits and the member's own limit. A week without an
 * exposure moves nothing.
 */
export const muscleWeek = defineRule<Params, State>({
  kind: 'muscleWeek',
  title: 'Weekly sets of a muscle',
  clock: 'week',
  of: 'muscle',
  from: 'done',
  roles: ['first', 'second', 'last'],
  writes: ['sets'],
  params: strictObject({
    muscle: choiceField(muscles).required(),
    first: wholeField('sets a week to begin with', 1, 60).required(),
    most: wholeField('the most sets a week', 1, 60).required(),
    add: wholeField('sets that a week adds', 0, 3).required(),
    answersAdd: wholeField('the most that answers may add in a week', 1, 3),
    weeks: wholeField('weeks of a rise', 2, 12).required(),
    lowerWeek: numberField('percent of the last week, 30 to 100', 30, 100).required(),
    cap: wholeField('the most sets of a slot in one session', 1, 20).required(),
  }).test('fits', '"most" at least "first"', ({ first, most }) => most >= first),
  fields: {
    muscle: {
      label: 'Muscle',
      unit: null,
      hint: 'The sets of every exercise that uses the progression count for it.',
    },
    first: { label: 'First week', unit: 'sets', hint: 'Hard sets of the muscle in the first week.' },
    most: { label: 'Most in a week', unit: 'sets', hint: 'The week’s sets rise no further.' },
    add: { label: 'Added each week', unit: 'sets', hint: 'After a week that was trained.' },
    answersAdd: {
      label: 'Added by members’ answers, at most',
      unit: 'sets',
      hint: 'Answers after sessions decide. Empty: answers change nothing.',
      isRare: true,
    },
    weeks: { label: 'Rising weeks', unit: 'weeks', hint: 'Before the lower week.' },
    lowerWeek: { label: 'Lower week', unit: '% of the last week', hint: '100 means no lower week.' },
    cap: { label: 'Most in one session', unit: 'sets', hint: 'Of one exercise.' },
  },
  sentence: (p) =>
    `${p.first} hard sets of ${p.muscle} in the first week, shared among its exercises by priority, at most ${p.cap} of one exercise in a session. ` +
    `${p.answersAdd ? `After a week: up to +${p.answersAdd} by the answers after sessions, none while ${p.muscle} is still sore (+${p.add} without answers)` : `After a week: +${p.add}`}, ` +
    `at most ${p.most}. After ${p.weeks} weeks: one week at ${formatNumber(p.lowerWeek)}%, then ${p.first} again.`,
  start: (_known, { first }) => ({ sets: first, risen: 0, heard: null, why: [] }),
  next(state, { date, at, answers }, p) {
    const now = inWeek(state, at.week, p)
    const before = now.heard ?? { week: at.week, added: 0, isSore: false, answers: 0 }
    // The answers of a session are heard once, however many of its slots work the muscle.
    const isAnswered = before.week === at.week && before.inWeek === at.inWeek
    const said = date && !isAnswered ? saidOf(answers, p.muscle) : null
    const heard = {
      week: at.week,
      inWeek: at.inWeek,
      added: before.added + (said?.added ?? 0),
      isSore: before.isSore || (said?.isSore ?? false),
      answers: before.answers + (said ? 1 : 0),
    }
    return { ...now, heard }
  },
  ask(state, role, p, at) {
    const { sets: meant, why } = inWeek(state, at.week, p)
    const target = Math.min(meant, at.mostSets ?? meant)
    const { roles, own, counts } = at.shares ?? { roles: [role], own: 0, counts: [1] }
    const shared = shareOut(target, roles, p.cap, counts)
    const all = snap(shared.reduce((sum, one, i) => sum + one * (counts[i] ?? 1), 0))
    const data = { muscle: p.muscle, target, all, sets: shared[own] ?? 1, slots: roles.length, cap: p.cap }
    const steps: WhyStep[] = [...why]
    if (target < meant) steps.push(say('muscleWeek.limit', { ...data, limit: target, meant }))
    const id = all < target ? 'muscleWeek.capped' : all > target ? 'muscleWeek.least' : 'muscleWeek.share'
    steps.push({ id, data })
    return { sets: shared[own] ?? 1, steps }
  },
  messages: say.messages,
  examples: [
    {
      say: 'three weeks up, one down, then again; nobody is asked',
      params: { muscle: 'quads', first: 10, most: 20, add: 2, weeks: 3, lowerWeek: 60, cap: 20 },
      max: null,
      role: 'first',
      exposures: ['hit', 'hit', 'miss', 'hit', 'hit'],
      asked: ['10 sets', '12 sets', '14 sets', '8 sets', '10 sets', '12 sets'],
    },
    {
      say: 'hardly worked adds, still sore adds nothing, and never more than two nor above the most',
      params: {
        muscle: 'quads',
        first: 10,
        most: 13,
        add: 1,
        answersAdd: 2,
        weeks: 8,
        lowerWeek: 60,
        cap: 20,
      },
      max: null,
      role: 'first',
      exposures: [
        { verdict: 'hit', answers: { worked: { quads: 'hardly' } } },
        { verdict: 'hit', answers: { worked: { quads: 'hardly' }, sore: { quads: 'still' } } },
        { verdict: 'hit', answers: { worked: { quads: 'too much' } } },
        'hit',
        { verdict: 'hit', answers: { worked: { quads: 'hardly' }, sore: { quads: 'not' } } },
      ],
      asked: ['10 sets', '12 sets', '12 sets', '11 sets', '12 sets', '13 sets'],
    },
    {
      say: 'more slots than sets have one each',
      params: { muscle: 'quads', first: 1, most: 4, add: 0, weeks: 2, lowerWeek: 100, cap: 1 },
      max: null,
      role: 'last',
      exposures: [
        {
          verdict: 'hit',
          at: { week: 1, inWeek: 1, shares: { roles: ['first', 'last'], own: 1, counts: [1, 1] } },
        },
        {
          verdict: 'hit',
          at: { week: 1, inWeek: 2, shares: { roles: ['first', 'last'], own: 1, counts: [1, 1] } },
        },
      ],
      asked: ['1 sets', '1 sets', '1 sets'],
    },
    {
      say: 'more sets than the caps hold, and a limit of the member’s own',
      params: { muscle: 'quads', first: 12, most: 12, add: 0, weeks: 2, lowerWeek: 100, cap: 4 },
      max: null,
      role: 'first',
      exposures: [
        { verdict: 'hit', at: { week: 1, inWeek: 1 } },
        { verdict: 'hit', at: { week: 1, inWeek: 2, mostSets: 3 } },
      ],
      asked: ['4 sets', '3 sets', '4 sets'],
    },
  ],
})

/** The target of a week: moved once for each week that was trained before it, never by the calendar. */
function inWeek(state: State, week: number, p: Params): State {
  const { heard, sets, risen } = state
  if (!heard || week <= heard.week) return state
  const [muscle, before] = [p.muscle, heard.week]
  const moved = (to: Pick<State, 'sets' | 'risen'>, id: string, data: object): State => ({
    ...to,
    heard: null,
    why: [{ id, data: { muscle, sets: to.sets, ...data } }],
  })
  if (risen >= p.weeks) return moved({ sets: p.first, risen: 0 }, 'muscleWeek.again', {})
  if (risen + 1 >= p.weeks) {
    const lower = Math.max(1, Math.round((sets * p.lowerWeek) / 100))
    const data = { weeks: p.weeks, percent: p.lowerWeek }
    return moved({ sets: lower, risen: p.weeks }, 'muscleWeek.lower', data)
  }
  const hears = p.answersAdd !== undefined && heard.answers > 0
  const wanted = !hears
    ? p.add
    : heard.isSore
      ? Math.min(0, heard.added)
      : Math.min(p.answersAdd ?? 0, heard.added)
  const next = Math.max(Math.min(p.first, sets), Math.min(p.most, sets + wanted))
  const to = { sets: next, risen: risen + 1 }
  if (next > sets) return moved(to, 'muscleWeek.more', { week: before, added: next - sets })
  if (next < sets) return moved(to, 'muscleWeek.fewer', { week: before, removed: sets - next })
  const reason =
    hears && heard.isSore ? 'it was still sore' : wanted > 0 ? 'the limit is reached' : 'no increase is due'
  return moved(to, 'muscleWeek.stays', { week: before, reason })
}

/** What answers say of a muscle: one or two sets more, none, or one less; null where nothing was said of it. */
function saidOf(answers: Answers | undefined, muscle: Muscle): { added: number; isSore: boolean } | null {
  const [worked, sore] = [answers?.worked?.[muscle], answers?.sore?.[muscle]]
  if (!worked && !sore) return null
  const added = worked ? { hardly: 2, well: 1, 'too much': -1 }[worked] : 0
  return { added, isSore: sore === 'still' }
}

/**
 * Deals sets out one at a time: each slot has one first, then the next goes to the slot that has the fewest for its weight, in
 * the order of the week, until all are dealt or every slot is at the cap. `counts`: how much a set of each slot counts for the muscle.
 */
export function shareOut(target: number, roles: string[], cap: number, counts: number[] = []): number[] {
  const shared = roles.map(() => 1)
  const countOf = (i: number) => counts[i] ?? 1
  const weighed = (i: number) => (shared[i] ?? 0) / (weights[roles[i] ?? ''] ?? 1)
  let left = snap(target - shared.reduce((sum, _, i) => sum + countOf(i), 0))
  for (;;) {
    const open = shared.flatMap((sets, i) => (sets < cap && countOf(i) <= left ? [i] : []))
    if (left <= 0 || !open.length) return shared
    const to = open.reduce((least, i) => (weighed(i) < weighed(least) ? i : least))
    shared[to] = (shared[to] ?? 0) + 1
    left = snap(left - countOf(to))
  }
}
