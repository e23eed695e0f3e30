import { type WhyStep, declareSteps } from '../words/index.ts'
import { choiceField, strictObject, wholeField } from '../parsing/index.ts'
import { compareLoads, formatLoad, formatSeconds, type Load } from '../units/index.ts'
import { defineRule, type SetSeen } from './rule.ts'

const say = declareSteps({
  'density.beaten': '{done} {what} on {date}, the most so far: beat {done}',
  'density.stands': '{done} {what} on {date} did not beat the best, {best}',
  'density.lighter':
    '{done} {what} at {load} on {date}, lighter than the {best} to beat: a record of its own',
  'density.ahead': 'if {best} {what} are beaten by at least one',
})

type Params = { what: 'reps' | 'rounds'; /** 10 to 7200. */ seconds: number }
/** The most that was done in the time so far, at which load where there was one; and the records at less load, by what it is. */
type State = { best: number | null; load?: Load; lighter?: Record<string, number>; why: WhyStep[] }

/**
 * As many reps, or rounds, as the time allows; the next time more than the most so far, at the same load or more. What was done at less load
 * is a record of its own.
 */
export const density = defineRule<Params, State>({
  kind: 'density',
  title: 'Density: more in the same time',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['reps'],
  hearsLighter: true,
  carriedBy: {
    expected: 'a goal of as many as time allows',
    fits: (goal) => 'most' in goal,
    sample: { sets: 1, goal: { most: 'reps', seconds: 300 } },
  },
  params: strictObject({
    what: choiceField(['reps', 'rounds']).required(),
    seconds: wholeField('seconds', 10, 7200).required(),
  }),
  fields: {
    what: {
      label: 'Count',
      unit: null,
      hint: 'What is counted within the time.',
      choices: { reps: 'reps', rounds: 'rounds' },
    },
    seconds: { label: 'Time', unit: 'seconds', hint: '300 is five minutes.' },
  },
  sentence: ({ what, seconds }) =>
    `As many ${what} as possible in ${formatSeconds(seconds)}: beat the most so far each time.`,
  start: () => ({ best: null, why: [] }),
  next(state, { date, verdict, reps, sets = [] }, { what }) {
    const { best, lighter = {} } = state
    if (!date) {
      if (verdict !== 'hit' || best === null) return state
      return { ...state, best: best + 1, why: [say('density.ahead', { best, what })] }
    }
    const top = mostOf(sets, reps)
    if (verdict === 'hold' || top.reps === 0) return state
    const { reps: done, load } = top
    if (best !== null && load && state.load && compareLoads(load, state.load) < 0) {
      const own = Math.max(lighter[formatLoad(load)] ?? 0, done)
      const why = [say('density.lighter', { done, what, load, date, best: formatLoad(state.load) })]
      return { ...state, lighter: { ...lighter, [formatLoad(load)]: own }, why }
    }
    const isBeaten = best === null || done > best
    const data = { done, what, date, best: isBeaten ? done : best }
    const at = isBeaten ? load : state.load
    return {
      best: data.best,
      ...(at && { load: at }),
      ...(state.lighter && { lighter }),
      why: [say(isBeaten ? 'density.beaten' : 'density.stands', data)],
    }
  },
  ask: ({ best, why }, _role, { what, seconds }) => ({
    goal: { most: what, seconds, ...(best !== null && { beat: best }) },
    steps: why,
  }),
  messages: say.messages,
  examples: [
    {
      say: '41 at 20 kg are not beaten by 50 at 16 kg, nor is that forgotten; 42 at 24 kg beat them',
      params: { what: 'reps', seconds: 300 },
      max: null,
      exposures: [
        { verdict: 'hit', reps: [41], sets: [{ load: { value: 20, unit: 'kg' }, reps: 41 }] },
        { verdict: 'hit', reps: [50], sets: [{ load: { value: 16, unit: 'kg' }, reps: 50 }] },
        { verdict: 'hit', reps: [42], sets: [{ load: { value: 24, unit: 'kg' }, reps: 42 }] },
      ],
      asked: [
        'most reps in 5:00',
        'most reps in 5:00, beat 41',
        'most reps in 5:00, beat 41',
        'most reps in 5:00, beat 42',
      ],
    },
    {
      say: '41 are followed by 42 or more; 40 leave them standing',
      params: { what: 'reps', seconds: 300 },
      max: null,
      exposures: [
        { verdict: 'hit', reps: [41] },
        { verdict: 'miss', reps: [40] },
        { verdict: 'hit', reps: [44] },
        'hold',
      ],
      asked: [
        'most reps in 5:00',
        'most reps in 5:00, beat 41',
        'most reps in 5:00, beat 41',
        'most reps in 5:00, beat 44',
        'most reps in 5:00, beat 44',
      ],
    },
  ],
})

/** The set with the most, and its load where it had one; without sets, the most that was counted. */
function mostOf(sets: SetSeen[], reps: number[]): { reps: number; load: Load | null } {
  if (!sets.length) return { reps: Math.max(0, ...reps), load: null }
  return sets.reduce((a, b) => (b.reps > a.reps ? b : a))
}
