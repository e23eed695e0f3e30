import { declareSteps, type WhyStep } from '../words/index.ts'
import { choiceField, numberField, wholeField } from '../parsing/index.ts'
import {
  compareLoads,
  formatNumber,
  heavier,
  inUnit,
  scale,
  snap,
  type Load,
  type Rise,
} from '../units/index.ts'
import {
  riseWords,
  firstLoadWords,
  sayFirstLoad,
  sayRise,
  startingWith,
  type FirstLoad,
} from './firstLoad.ts'
import { defineRule, type Hand, type SetSeen } from './rule.ts'
import { beats, bestSet, saySet } from './sets.ts'
import { addedField, holds, resetFields, startSteady, type Steady } from './steady.ts'

const say = declareSteps({
  'rirRamp.beaten': '{date}: e1RM {seen}, {percent}% above the best of {best}: next {load}',
  'rirRamp.first': '{date}: e1RM {seen}, the first to beat: next {load}',
  'rirRamp.firstSet': '{date}: {now}, the first set to beat: next {load}',
  'rirRamp.more': '{date}: {now} beat {before} at the same RIR or less: next {load}',
  'rirRamp.less': '{date}: {now} did not beat {before} ({misses} of {allowed} in a row): {load} again',
  'rirRamp.easy': '{date}: {easy} RIR or more, too easy for an e1RM: next {load}',
  'rirRamp.ahead': 'if the last session is beaten: next {load}',
  'rirRamp.tooBig': '{date}: e1RM {seen}, {percent}% above {best}: too large a rise to trust, {load} stays',
  'rirRamp.unread': '{load} stays: no set of {date} can be compared with the last',
  'rirRamp.again': '{date} did not beat the best e1RM, {best} ({misses} of {allowed} in a row): {load} again',
  'rirRamp.deload': '{date}: {misses} in a row without a gain: deload, then −{percent}%, down to {load}',
  'rirRamp.rir': 'stop with {rir} RIR',
})

type Params = FirstLoad & {
  /** Reps in reserve (RIR) to begin with and at the end; 0 to 6, the end no higher. */
  firstRir: number
  lastRir: number
  /** Beaten exposures at one reserve before one rep less is left; 1 to 12. */
  every: number
  /** What the plan asks more of after a beaten exposure; whichever of the two is beaten counts. */
  by: 'load' | 'reps'
  step: Rise
  /** A rise of the estimate above this percent is too big to be read against the last; 2 to 30. */
  mostRise: number
  /** Exposures in a row without a beat that ask for a deload; 1 to 6. */
  unbeaten: number
  resetBy: number
}
/** `best`: the estimate to beat. `set`: the best set of the last beat, which more load or more reps at that RIR or less beat by themselves. `more`: reps beyond those written. `count`: beaten at this reserve. */
type State = Steady & {
  rir: number
  count: number
  more: number
  best: Load | null
  set?: SetSeen
  wants?: true
}

/**
 * Each exposure beats the last by a little, in load, reps or both, at the same reps in reserve or fewer. Read by the
 * estimated max, reserve counted as reps; two exposures without a beat ask for a deload and begin the ramp again, lighter.
 */
export const rirRamp = defineRule<Params, State>({
  kind: 'rirRamp',
  title: 'Falling RIR',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['load', 'reps', 'rir'],
  adds: ['reps'],
  readsTop: true,
  hearsLighter: true,
  carriedBy: {
    expected: 'a load of the progression on sets of plain reps',
    fits: (goal) => 'reps' in goal,
    sample: { sets: 3, goal: { reps: { from: 8, to: 10 } } },
  },
  params: startingWith({
    firstRir: wholeField('RIR to begin with', 0, 6).required(),
    lastRir: wholeField('RIR at the end', 0, 6).required(),
    every: wholeField('beaten exposures before the RIR falls by 1', 1, 12).required(),
    by: choiceField(['load', 'reps']).required(),
    step: addedField(),
    mostRise: numberField('percent of the estimate, 2 to 30', 2, 30).required(),
    unbeaten: wholeField('exposures without a beat', 1, 6).required(),
    resetBy: resetFields.resetBy,
  }).test('fits', '"lastRir" at most "firstRir"', (params) => {
    const { firstRir, lastRir } = params as unknown as Params
    return lastRir <= firstRir
  }),
  fields: {
    ...firstLoadWords,
    firstRir: { label: 'First RIR', unit: 'RIR', hint: 'RIR of the first sessions.' },
    lastRir: { label: 'Last RIR', unit: 'RIR', hint: 'RIR drops no further.' },
    every: {
      label: 'Sessions before RIR drops by 1',
      unit: 'sessions',
      hint: 'Counted are sessions that beat the last one.',
    },
    by: {
      label: 'Increase',
      unit: null,
      hint: 'What rises after a session that beat the last one.',
      choices: { load: 'the load', reps: 'the reps' },
    },
    ...riseWords('step', 'Step'),
    mostRise: {
      label: 'Ignore e1RM rises above',
      unit: '%',
      hint: 'A larger rise from one session is more likely an error.',
    },
    unbeaten: {
      label: 'Sessions in a row without a gain',
      unit: 'sessions',
      hint: 'After these the progression asks for a deload.',
    },
    resetBy: { label: 'Cut after that deload', unit: '% of the load', hint: 'How much the load drops.' },
  },
  sentence: (p) =>
    `${sayFirstLoad(p)} @ ${p.firstRir} RIR. After a session with a higher e1RM than the best so far: ` +
    `${p.by === 'load' ? `+${sayRise(p.step)}` : '+1 rep'}; after every ${p.every === 1 ? 'such session' : `${p.every} such sessions`} 1 RIR less, down to ${p.lastRir} RIR. ` +
    `A rise of the e1RM above ${formatNumber(p.mostRise)}% is ignored. ` +
    `After ${p.unbeaten === 1 ? 'a session' : `${p.unbeaten} sessions in a row`} without a gain: the progression asks for a deload, then −${formatNumber(p.resetBy)}%.`,
  start: (known, p) => startSteady(known, p, { rir: p.firstRir, count: 0, more: 0, best: null }),
  next(state, { date, verdict, because, target, top, sets = [], askedRir: askedLeft, rir: noted }, p, hand) {
    const { rir: left, best } = state
    const load = inUnit(target ?? state.load, hand.unit)
    if (!date)
      return verdict === 'hit'
        ? beat({ ...state, load }, p, hand, best, (to) => say('rirRamp.ahead', { load: to }))
        : state
    if (verdict === 'hold') return { ...state, why: [holds(load, date, because)] }
    const now = bestSet(sets, askedLeft ?? left)
    const isMore = now && state.set ? beats(now, state.set, askedLeft ?? left) : false
    if (!top) {
      const isEasy = verdict === 'hit' && wasEasy(noted, askedLeft ?? left)
      if (isEasy)
        return beat({ ...state, load }, p, hand, best, (to) =>
          say('rirRamp.easy', { date, easy: Math.min(...(noted as number[])), load: to }),
        )
      if (!now) return { ...state, load, why: [say('rirRamp.unread', { load, date })] }
      if (isMore || !state.set)
        return beat({ ...state, load, set: now }, p, hand, best, (to) =>
          state.set
            ? say('rirRamp.more', { date, now: saySet(now), before: saySet(state.set), load: to })
            : say('rirRamp.firstSet', { date, now: saySet(now), load: to }),
        )
      return unbeaten(state, load, p, hand, date, (count) =>
        say('rirRamp.less', {
          date,
          now: saySet(now),
          before: saySet(state.set ?? now),
          load,
          misses: count,
          allowed: p.unbeaten,
        }),
      )
    }
    const seen = inUnit(top.estimate, hand.unit)
    const known = best && inUnit(best, hand.unit)
    const percent = known ? snap((100 * (seen.value - known.value)) / known.value) : 0
    if (known && percent > p.mostRise)
      return {
        ...state,
        load,
        why: [say('rirRamp.tooBig', { load, date, seen, best: known, percent })],
      }
    if (!known || isMore || compareLoads(seen, known) > 0) {
      // The load that was lifted is the one to beat, where it was heavier than what was asked.
      const lifted = compareLoads(inUnit(top.load, hand.unit), load) > 0 ? inUnit(top.load, hand.unit) : load
      const to = { ...state, load: lifted, ...(now && { set: now }) }
      const higher = known ? heavier(seen, known) : seen
      return beat(to, p, hand, higher, (next) => {
        if (!known) return say('rirRamp.first', { date, seen, load: next })
        if (isMore && now && state.set)
          return say('rirRamp.more', { date, now: saySet(now), before: saySet(state.set), load: next })
        return say('rirRamp.beaten', { date, seen, percent, best: known, load: next })
      })
    }
    return unbeaten(state, load, p, hand, date, (count) =>
      say('rirRamp.again', { date, best: known, load, misses: count, allowed: p.unbeaten }),
    )
  },
  credits: (state, { moreReps }) => ({ state: { ...state, more: moreReps }, order: 0 }),
  ask: ({ load, why, rir, more }) => ({
    load,
    rir,
    ...(more && { moreReps: more }),
    steps: [...why, say('rirRamp.rir', { rir })],
  }),
  jumps: ({ step, mostRise }) => [step, { percent: mostRise }],
  wantsDeload: ({ wants }) => wants === true,
  messages: say.messages,
  examples: [
    {
      say: '60 × 9 @ 3 RIR is beaten by 62.5 × 9 (+4.2%) as it is by 60 × 10 (+2.4%); two without a beat ask for a deload',
      params: sample('load', 1, 2),
      max: null,
      exposures: [
        { verdict: 'hit', top: set(60, 9, 3) },
        { verdict: 'hit', top: set(62.5, 9, 3) },
        { verdict: 'hold' },
        { verdict: 'hit', top: set(65, 9, 2) },
        { verdict: 'hit', top: set(67.5, 12, 5) },
        { verdict: 'miss', top: null },
        { verdict: 'miss', top: set(65, 8, 2) },
        { verdict: 'miss', top: set(65, 8, 2) },
      ],
      asked: [
        '60, 3 RIR',
        '62.5, 3 RIR',
        '65, 2 RIR',
        '65, 2 RIR',
        '67.5, 2 RIR',
        '67.5, 2 RIR',
        '67.5, 2 RIR',
        '67.5, 2 RIR',
        '60, 3 RIR',
      ],
    },
    {
      say: 'five left where three were asked are too many to be read: a step up all the same',
      params: sample('load', 1, 2),
      max: null,
      exposures: [{ verdict: 'hit', top: null, askedRir: 3, rir: [5, 5, 5] }],
      asked: ['60, 3 RIR', '62.5, 3 RIR'],
    },
    {
      say: '16 reps @ 3 RIR are too many for an e1RM: the set itself is beaten by another rep, and two without one ask for a deload',
      params: sample('load', 1, 9),
      max: null,
      exposures: [
        { verdict: 'hit', top: null, sets: [done(60, 16, 3)] },
        { verdict: 'hit', top: null, sets: [done(60, 17, 3)] },
        { verdict: 'hit', top: null, sets: [done(62.5, 17, 2)] },
        { verdict: 'hit', top: null, sets: [done(62.5, 17, 2)] },
        { verdict: 'hit', top: null, sets: [done(62.5, 17, 2)] },
      ],
      asked: ['60, 3 RIR', '62.5, 3 RIR', '65, 3 RIR', '67.5, 3 RIR', '67.5, 3 RIR', '60, 3 RIR'],
    },
    {
      say: 'by reps: one more each time, at the same load',
      params: sample('reps', 3, 4),
      max: null,
      exposures: [
        { verdict: 'hit', top: set(60, 9, 3) },
        { verdict: 'hit', top: set(60, 10, 3) },
      ],
      asked: ['60, 3 RIR', '60, 1 more, 3 RIR', '60, 2 more, 3 RIR'],
    },
  ],
})

/** From 60 kg @ 3 RIR, by steps of 2.5; two without a beat take 10% off. */
function sample(by: Params['by'], lastRir: number, every: number): Params {
  return {
    startLoad: { kg: 60, lb: 135 },
    firstRir: 3,
    lastRir: lastRir,
    every,
    by,
    step: { kg: 2.5, lb: 5 },
    mostRise: 10,
    unbeaten: 2,
    resetBy: 10,
  }
}

function beat(
  state: State,
  { by, step, every, lastRir }: Params,
  hand: Hand,
  best: Load | null,
  because: (to: Load) => WhyStep,
): State {
  const { rir: left, count, more } = state
  const load = by === 'load' ? hand.raise(state.load, step) : state.load
  const isDue = count + 1 >= every && left > lastRir
  return {
    load,
    misses: 0,
    rir: isDue ? left - 1 : left,
    count: isDue ? 0 : count + 1,
    more: by === 'reps' ? more + 1 : 0,
    best,
    ...(state.set && { set: state.set }),
    why: [because(load)],
  }
}

/** An exposure that beats nothing: the same again, and after so many in a row a deload, then less. */
function unbeaten(
  state: State,
  load: Load,
  p: Params,
  hand: Hand,
  date: string,
  again: (misses: number) => WhyStep,
): State {
  const misses = state.misses + 1
  if (misses < p.unbeaten) return { ...state, load, misses, why: [again(misses)] }
  const lower = hand.land(scale(load, 100 - p.resetBy), load)
  const why = [say('rirRamp.deload', { date, load: lower, misses, percent: p.resetBy })]
  return { load: lower, misses: 0, rir: p.firstRir, count: 0, more: 0, best: null, why, wants: true }
}

/** Whether every set was noted with at least two reps more left than asked: so many that no estimate is made of it. */
const wasEasy = (noted: (number | null)[] | undefined, asked: number): boolean =>
  noted !== undefined && noted.length > 0 && noted.every((left) => left !== null && left >= asked + 2)

/** A set by Epley: load × (1 + (reps + left) ÷ 30). */
function set(value: number, reps: number, left: number) {
  const estimate = { value: snap(value * (1 + (reps + left) / 30)), unit: 'kg' as const }
  return { load: { value, unit: 'kg' as const }, reps, left, estimate }
}

/** A set as it was done. */
function done(value: number, reps: number, rir: number): SetSeen {
  return { load: { value, unit: 'kg' }, reps, rir }
}
