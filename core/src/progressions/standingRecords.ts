import { type WhyStep, declareSteps } from '../words/index.ts'
import { maxStep } from '../loads/index.ts'
import { choiceField, listField, percentField, strictObject, wholeField } from '../parsing/index.ts'
import { formatNumber, inUnit, scale, snap, type Load, type Rise } from '../units/index.ts'
import { riseWords, sayFirst, sayRise } from './firstLoad.ts'
import { defineRule, type Exposure } from './rule.ts'
import { repsOfSets } from './scheme.ts'
import { addedField } from './steady.ts'

const say = declareSteps({
  'standingRecords.set': 'the best set at {load} is {best} reps, of {date}: beat it',
  'standingRecords.sum': 'the best sum of {sets} sets at {load} is {best} reps, of {date}: beat it',
  'standingRecords.stood': '{done} on {date} did not beat {best} at {load}: it stands',
  'standingRecords.up': '{done} on {date} reached {upAt}: from here {load}, with a record of its own',
})

type Standing = {
  /** Of the 1RM; above 0, at most 150. */
  startPercent: number
}
type Params = {
  /** 1 to 6 loads in the order of their turns: each stands until its record earns more. */
  loads: Standing[]
  /** 1 to 10. */
  sets: number
  beat: (typeof counts)[number]
  /** Reps, of the best set or of all sets, with which the load goes up; 1 to 200. */
  upAt: number
  step: Rise
}
const counts = ['set', 'sum'] as const

type RepRecord = { load: Load; best: number | null; why: WhyStep[] }
type State = { at: number; own: RepRecord[] }

/**
 * Sets for as many good reps as possible at loads that stand, in turn: each load has its own record, the best set or the sum of the sets. A record
 * that comes to so many reps earns a step.
 */
export const standingRecords = defineRule<Params, State>({
  kind: 'standingRecords',
  title: 'Rep records at standing loads',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['load', 'sets', 'reps'],
  carriedBy: repsOfSets,
  params: strictObject({
    loads: listField('loads that alternate', 6)
      .of(strictObject({ startPercent: percentField().required() }))
      .required(),
    sets: wholeField('sets', 1, 10).required(),
    beat: choiceField(counts).required(),
    upAt: wholeField('reps with which the load goes up', 1, 200).required(),
    step: addedField(),
  }),
  fields: {
    loads: { label: 'Load', unit: null, hint: 'Loads that alternate, each with a record of its own.' },
    'loads.#.startPercent': { label: 'Load #', unit: '% of the 1RM', hint: 'Where it stands to begin with.' },
    sets: { label: 'Sets', unit: 'sets', hint: 'Each for as many good reps as possible.' },
    beat: {
      label: 'The record is',
      unit: null,
      hint: 'What is compared with the last record at the load.',
      choices: { set: 'the best set', sum: 'the sum of the sets' },
    },
    upAt: { label: 'The load goes up at', unit: 'reps', hint: 'In the best set, or in all sets.' },
    ...riseWords('step', 'Step then'),
  },
  sentence: ({ loads, sets, beat, upAt, step }) =>
    `${sets === 1 ? 'One set' : `${sets} sets`} for as many good reps as possible at ${loads.map(({ startPercent }) => `${formatNumber(startPercent)}%`).join(', then ')} of the 1RM; the load stands. ` +
    `Beat the ${beat === 'set' ? 'best set' : 'best sum of the sets'} at that load. At ${upAt} reps: +${sayRise(step)} for that load, and a new record.`,
  start({ lift, max, first }, { loads }) {
    if (!max) return { need: 'max', lift }
    const own = loads.map(({ startPercent }): RepRecord => {
      const percent = Math.max(1, snap(startPercent + first.points))
      const load = scale(max.load, percent)
      const why = [maxStep(max), sayFirst('first.percent', { percent, load }), ...first.steps]
      return { load: scale(load, first.scale), best: null, why }
    })
    return { at: 0, own }
  },
  next(state, { date, verdict, target, reps }, params, hand) {
    const { loads, sets, beat, upAt, step } = params
    if (verdict === 'hold') return state
    const at = state.at % loads.length
    const to = (at + 1) % loads.length
    const done = reached({ reps }, params)
    if (!date || done === 0) return { ...state, at: to }
    const { load: stood, best, why } = standing(state, at)
    const load = inUnit(target ?? stood, hand.unit)
    const put = (record: RepRecord): State => ({
      at: to,
      own: loads.map((_, i) => (i === at ? record : standing(state, i))),
    })
    if (done >= upAt) {
      const next = hand.raise(load, step)
      return put({
        load: next,
        best: null,
        why: [say('standingRecords.up', { done, date, upAt, load: next })],
      })
    }
    if (best !== null && done <= best) {
      const stands = say('standingRecords.stood', { done, date, best, load })
      return put({ load, best, why: [...why.slice(0, 1), stands] })
    }
    const data = { load, best: done, date }
    const record =
      beat === 'set' ? say('standingRecords.set', data) : say('standingRecords.sum', { ...data, sets })
    return put({ load, best: done, why: [record] })
  },
  ask(state, _role, { loads, sets }) {
    const { load, why } = standing(state, state.at % loads.length)
    return { load, sets, goal: { reps: 1, amrap: 'all' }, steps: why }
  },
  messages: say.messages,
  examples: [
    {
      say: 'the best set at each of two loads; 10 reps earn a step, and a new record',
      params: {
        loads: [{ startPercent: 80 }, { startPercent: 60 }],
        sets: 1,
        beat: 'set',
        upAt: 10,
        step: { kg: 2.5, lb: 5 },
      },
      max: { value: 100, unit: 'kg' },
      exposures: [
        { verdict: 'hit', reps: [8] },
        { verdict: 'hit', reps: [9] },
        { verdict: 'hit', reps: [10] },
        'hold',
        { verdict: 'hit', reps: [9] },
      ],
      asked: [
        '1 × AMRAP @ 80',
        '1 × AMRAP @ 60',
        '1 × AMRAP @ 80',
        '1 × AMRAP @ 60',
        '1 × AMRAP @ 60',
        '1 × AMRAP @ 82.5',
      ],
    },
    {
      say: 'the best sum of three: 27, 25 leave it standing, 30 earn a step',
      params: { loads: [{ startPercent: 70 }], sets: 3, beat: 'sum', upAt: 30, step: { kg: 2.5, lb: 5 } },
      max: { value: 100, unit: 'kg' },
      exposures: [
        { verdict: 'hit', reps: [10, 9, 8] },
        { verdict: 'hit', reps: [9, 8, 8] },
        { verdict: 'miss', reps: [11, 10, 9] },
      ],
      asked: ['3 × AMRAP @ 70', '3 × AMRAP @ 70', '3 × AMRAP @ 70', '3 × AMRAP @ 72.5'],
    },
  ],
})

/** What an exposure counts for: its best set, or all of its sets, and no more of them than are asked. */
const reached = ({ reps }: Pick<Exposure, 'reps'>, { sets, beat }: Params): number => {
  const counted = reps.slice(0, sets)
  return beat === 'set' ? Math.max(0, ...counted) : counted.reduce((sum, one) => sum + one, 0)
}

/** What stands at a turn; a load that a new version brings begins where the last one stands. */
const standing = ({ own }: State, at: number): RepRecord =>
  own[at] ?? { ...(own[own.length - 1] as RepRecord), best: null }
