import type { DeloadPolicy } from '../template/index.ts'
import type { AnswerKind } from './answers/registry.ts'
import type { LiftSignal, Signals } from './signals.ts'

/** A situation that a coach would know, what the advisor answers to it, and how sure it is. Tests run them, docs/advisor.md prints them. */
export type Situation = {
  say: string
  signals: Partial<Signals>
  policy?: DeloadPolicy
  want: AnswerKind
  sure: 'likely' | 'possible' | 'weak'
}

const lift = (exercise: LiftSignal['lift']['exercise'], more: Partial<LiftSignal> = {}): LiftSignal => ({
  lift: { exercise },
  exposures: 8,
  missesInARow: 0,
  isShort: false,
  sinceBest: 1,
  change: 1.5,
  rirDrift: null,
  ...more,
})
const rising = [lift('backSquat'), lift('benchPress'), lift('deadlift')]
const flat = { change: 0, sinceBest: 5 }
const falling = { change: -4, sinceBest: 5, isShort: true }
const fine = { sleep: 4, mood: 4, freshness: 4, joints: 'fine' as const }

/** Somebody who trains three days a week, six weeks in, and does well. */
export const wellSignals: Signals = {
  lifts: rising,
  checkIns: [fine],
  soreMuscles: [],
  tooMuch: 0,
  hardness: 7,
  usualRir: 2,
  daysAWeek: 3,
  weeksTrained: 6,
  weeksSinceDeload: null,
  plannedDeloadIn: null,
  event: null,
  pains: [],
  asks: [],
  phase: { weeksIn: 3, hasNext: true },
  about: {},
  askFirst: { reasons: [], isCleared: false },
}

export const situations: Situation[] = [
  { say: 'three days a week, every lift progressing, well', signals: {}, want: 'nothing', sure: 'likely' },
  {
    say: 'the same, and never asked how they are',
    signals: { checkIns: [] },
    want: 'nothing',
    sure: 'possible',
  },
  {
    say: 'first week: one session',
    signals: { lifts: [lift('backSquat', { exposures: 1, change: null })], weeksTrained: 0, checkIns: [] },
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'one lift missed twice, the others progressing',
    signals: { lifts: [lift('backSquat', { missesInARow: 2 }), lift('benchPress'), lift('deadlift')] },
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'nothing falls, but they feel worn out today',
    signals: { checkIns: [{ ...fine, freshness: 2 }] },
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'two lifts are down and they are worn out',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      checkIns: [{ ...fine, freshness: 2 }],
    },
    want: 'deload',
    sure: 'likely',
  },
  {
    say: 'two lifts are down, nine weeks without a deload, and nobody has asked them',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      checkIns: [],
      weeksTrained: 9,
    },
    want: 'deload',
    sure: 'likely',
  },
  {
    say: 'two lifts of different muscles are down, otherwise well',
    signals: { lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')] },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'joints ache and one lift is down: lighter bars, not fewer sets',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress'), lift('deadlift')],
      checkIns: [{ ...fine, joints: 'achy' }],
    },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'a progression has waited for a beat for two exposures: it asks for a deload',
    signals: { asks: [{ exercise: 'backSquat' }] },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'less RIR than asked on two lifts, and the sessions are very hard',
    signals: {
      lifts: [lift('backSquat', { rirDrift: -2 }), lift('benchPress', { rirDrift: -1.7 }), lift('deadlift')],
      hardness: 9.2,
    },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'estimates are lower because less was asked on the way to a test, and nothing was missed',
    signals: {
      lifts: [
        lift('backSquat', { change: -12 }),
        lift('benchPress', { change: -6 }),
        lift('deadlift', { change: -9 }),
      ],
    },
    want: 'nothing',
    sure: 'likely',
  },
  {
    say: 'a trip next week, and a deload is due anyway',
    signals: { event: { what: 'trip', inWeeks: 1 }, weeksTrained: 9 },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'a trip next week, all well and none due: train on',
    signals: { event: { what: 'trip', inWeeks: 1 }, weeksTrained: 4 },
    want: 'nothing',
    sure: 'likely',
  },
  {
    say: 'five days a week for five weeks, and a heavy mood',
    signals: { daysAWeek: 5, weeksTrained: 5, checkIns: [{ ...fine, mood: 2 }] },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'three days a week for five weeks, and a heavy mood: one indication is not a pattern',
    signals: { daysAWeek: 3, weeksTrained: 5, checkIns: [{ ...fine, mood: 2 }] },
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'over forty, in a deficit, under stress, five weeks in, and worn out',
    signals: {
      weeksTrained: 5,
      about: { overForty: true, deficit: true, stress: true },
      checkIns: [{ ...fine, freshness: 2 }],
    },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'the same person, who does not tell those things',
    signals: { weeksTrained: 5, checkIns: [{ ...fine, freshness: 2 }] },
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'over three years of training, five weeks in, and worn out',
    signals: {
      weeksTrained: 5,
      about: { training: 'overThreeYears' },
      checkIns: [{ ...fine, freshness: 2 }],
    },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'in the first year of training, five weeks in, and worn out: no deload is due yet',
    signals: {
      weeksTrained: 5,
      about: { training: 'underOneYear' },
      checkIns: [{ ...fine, freshness: 2 }],
    },
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'bench and incline are down, legs and back progress: the chest alone',
    signals: {
      lifts: [
        lift('benchPress', falling),
        lift('inclineBenchPress', falling),
        lift('backSquat'),
        lift('barbellRow'),
      ],
    },
    want: 'partialDeload',
    sure: 'possible',
  },
  {
    say: 'the chest is still sore every time, and the bench is down',
    signals: {
      lifts: [lift('benchPress', falling), lift('backSquat'), lift('deadlift')],
      soreMuscles: ['chest'],
    },
    want: 'partialDeload',
    sure: 'likely',
  },
  {
    say: 'quads and glutes are still sore, no lift is down',
    signals: { soreMuscles: ['quads', 'glutes'] },
    want: 'partialDeload',
    sure: 'possible',
  },
  {
    say: 'two lifts are down, but the last deload is two weeks ago: too soon for another',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      weeksSinceDeload: 2,
    },
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'worn out and joints ache two weeks after a deload: the standing volume is too high',
    signals: { weeksSinceDeload: 2, checkIns: [{ ...fine, freshness: 1, joints: 'achy' }] },
    want: 'lowerVolume',
    sure: 'likely',
  },
  {
    say: 'three muscles are still sore whenever they are trained',
    signals: { soreMuscles: ['quads', 'chest', 'back'] },
    want: 'lowerVolume',
    sure: 'possible',
  },
  {
    say: 'three sessions in two weeks were too much',
    signals: { tooMuch: 3 },
    want: 'lowerVolume',
    sure: 'possible',
  },
  {
    say: 'poor sleep again and again, and two lifts are down',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      checkIns: [{ ...fine, sleep: 1 }, { ...fine, sleep: 2 }, fine],
    },
    want: 'mendSleep',
    sure: 'likely',
  },
  {
    say: 'poor sleep again and again, and training goes well',
    signals: {
      checkIns: [
        { ...fine, sleep: 2 },
        { ...fine, sleep: 2 },
      ],
    },
    want: 'mendSleep',
    sure: 'possible',
  },
  {
    say: 'one poor night',
    signals: { checkIns: [{ ...fine, sleep: 1 }, fine] },
    want: 'nothing',
    sure: 'likely',
  },
  {
    say: 'a deload is planned next, but 3 RIR remain and every lift progresses',
    signals: { plannedDeloadIn: 0, usualRir: 3.2, daysAWeek: 4 },
    want: 'skipPlanned',
    sure: 'likely',
  },
  {
    say: 'a deload is planned next, three days a week, rising, never asked how they are',
    signals: { plannedDeloadIn: 1, checkIns: [] },
    want: 'skipPlanned',
    sure: 'possible',
  },
  {
    say: 'the same in a program that goes by planned deloads alone',
    signals: { plannedDeloadIn: 0, usualRir: 3.2 },
    policy: 'planned',
    want: 'nothing',
    sure: 'likely',
  },
  {
    say: 'a deload is planned next and five hard days a week: leave it where it is',
    signals: { plannedDeloadIn: 0, usualRir: 1, daysAWeek: 5, weeksTrained: 3 },
    want: 'nothing',
    sure: 'likely',
  },
  {
    say: 'a deload is planned next, all well, and a trip falls on it: leave it where it is',
    signals: { plannedDeloadIn: 0, event: { what: 'trip', inWeeks: 0 }, weeksTrained: 3 },
    want: 'nothing',
    sure: 'likely',
  },
  {
    say: 'worn out and down, in a program that goes by planned deloads alone',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      checkIns: [{ ...fine, freshness: 1 }],
    },
    policy: 'planned',
    want: 'askAgain',
    sure: 'weak',
  },
  {
    say: 'every lift is stalled for weeks without tiredness, and another phase follows',
    signals: {
      lifts: [lift('backSquat', flat), lift('benchPress', flat), lift('deadlift', flat)],
      phase: { weeksIn: 5, hasNext: true },
    },
    want: 'nextBlock',
    sure: 'likely',
  },
  {
    say: 'two of three lifts are stalled after five weeks of the phase',
    signals: {
      lifts: [lift('backSquat', flat), lift('benchPress', flat), lift('deadlift')],
      phase: { weeksIn: 5, hasNext: true },
    },
    want: 'nextBlock',
    sure: 'possible',
  },
  {
    say: 'every lift is stalled, but the phase has only begun',
    signals: {
      lifts: [lift('backSquat', flat), lift('benchPress', flat), lift('deadlift', flat)],
      phase: { weeksIn: 2, hasNext: true },
    },
    want: 'nothing',
    sure: 'likely',
  },
  {
    say: 'the squat hurt last week, whatever else is well',
    signals: { pains: [{ exercise: 'backSquat' }] },
    want: 'caution',
    sure: 'likely',
  },
  {
    say: 'two lifts are down, and the profile has a condition that nobody has cleared',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      askFirst: { reasons: ['condition'], isCleared: false },
    },
    want: 'askFirst',
    sure: 'likely',
  },
  {
    say: 'the same, once a professional has cleared it',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      askFirst: { reasons: ['condition'], isCleared: true },
    },
    want: 'deload',
    sure: 'possible',
  },
  {
    say: 'joints are painful and everything falls: caution goes before advice',
    signals: {
      lifts: [lift('backSquat', falling), lift('benchPress', falling), lift('deadlift')],
      checkIns: [
        { ...fine, joints: 'painful', sleep: 1 },
        { ...fine, sleep: 1 },
      ],
    },
    want: 'caution',
    sure: 'likely',
  },
]
