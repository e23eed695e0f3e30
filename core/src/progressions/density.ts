import { type WhyStep, declareSteps } from '../words/index.ts'
import { choiceField, strictObject, wholeField } from '../parsing/index.ts'
import { formatSeconds } from '../units/index.ts'
import { defineRule } from './rule.ts'

const say = declareSteps({
  'density.beaten': '{done} {what} on {date}, the most so far: beat {done}',
  'density.stands': '{done} {what} on {date} did not beat the best, {best}',
  'density.ahead': 'if {best} {what} are beaten by at least one',
})

type Params = { what: 'reps' | 'rounds'; /** 10 to 7200. */ seconds: number }
/** The most that was done in the time so far. */
type State = { best: number | null; why: WhyStep[] }

/** As many reps, or rounds, as the time allows; the next time more than the most so far. */
export const density = defineRule<Params, State>({
  kind: 'density',
  title: 'Density: more in the same time',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['reps'],
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
  next(state, { date, verdict, reps }, { what }) {
    const { best } = state
    if (!date) {
      if (verdict !== 'hit' || best === null) return state
      return { best: best + 1, why: [say('density.ahead', { best, what })] }
    }
    const done = Math.max(0, ...reps)
    if (verdict === 'hold' || done === 0) return state
    const isBeaten = best === null || done > best
    const data = { done, what, date, best: isBeaten ? done : best }
    return { best: data.best, why: [say(isBeaten ? 'density.beaten' : 'density.stands', data)] }
  },
  ask: ({ best, why }, _role, { what, seconds }) => ({
    goal: { most: what, seconds, ...(best !== null && { beat: best }) },
    steps: why,
  }),
  messages: say.messages,
  examples: [
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
