import { type WhyStep, declareSteps } from '../words/index.ts'
import { choiceField, strictObject } from '../parsing/index.ts'
import { compareLoads, formatLoad, type Load } from '../units/index.ts'
import { defineRule, type SetSeen } from './rule.ts'

const say = declareSteps({
  'dropRecords.stands': 'the best at this drop is {load} × {reps}, of {date}: beat it',
  'dropRecords.stood': '{done} on {date} did not beat it',
})

/** What beats a record: more weight or more reps with no less of the other, or more reps times load. */
const counts = ['each', 'tonnage'] as const
type Params = { beat: (typeof counts)[number] }
type RepRecord = { load: Load; reps: number; why: WhyStep[] }
/** By the line of the sets. */
type State = { own: Record<string, RepRecord> }

/**
 * Each drop below today's top set has a record of its own, whatever the top set is. It writes nothing: it says what there is to beat beside a progression
 * that moves the top set.
 */
export const dropRecords = defineRule<Params, State>({
  kind: 'dropRecords',
  title: 'A record for each drop',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: [],
  hearsLines: true,
  params: strictObject({ beat: choiceField(counts).required() }),
  fields: {
    beat: {
      label: 'A record is beaten by',
      unit: null,
      hint: 'Of one set, at the same drop.',
      choices: {
        each: 'more weight or more reps, and no less of the other',
        tonnage: 'more reps times load',
      },
    },
  },
  sentence: ({ beat }) =>
    `Each drop below the top set has a record of its own: beat it with ${beat === 'each' ? 'more weight or more reps, and no less of the other' : 'more reps times load'}.`,
  start: () => ({ own: {} }),
  next(state, { date, verdict, lines = [] }, { beat }) {
    if (!date || verdict === 'hold') return state
    const own = { ...state.own }
    for (const { id, sets } of lines) {
      const best = sets.reduce<SetSeen | null>((a, b) => (a && !isMore(b, a, beat) ? a : b), null)
      if (!best?.load) continue
      const { load, reps } = best
      const known = own[id]
      if (known && !isMore(best, known, beat)) {
        const stood = say('dropRecords.stood', { done: `${formatLoad(load)} × ${reps}`, date })
        own[id] = { ...known, why: [...known.why.slice(0, 1), stood] }
      } else own[id] = { load, reps, why: [say('dropRecords.stands', { load, reps, date })] }
    }
    return { own }
  },
  ask: ({ own }) => ({
    lines: Object.fromEntries(Object.entries(own).map(([id, { why }]) => [id, why])),
    steps: [],
  }),
  messages: say.messages,
  examples: [
    {
      say: 'each line its own: 90 × 8 is beaten by 92.5 × 8 and stands after 95 × 6',
      params: { beat: 'each' },
      max: null,
      exposures: [
        { verdict: 'hit', lines: [line('nine', 90, 8), line('eight', 80, 12)] },
        { verdict: 'hit', lines: [line('nine', 92.5, 8), line('eight', 80, 11)] },
        { verdict: 'hit', lines: [line('nine', 95, 6), line('eight', 82.5, 12)] },
      ],
      asked: [
        'nothing',
        'nine 90 kg × 8, eight 80 kg × 12',
        'nine 92.5 kg × 8, eight 80 kg × 12',
        'nine 92.5 kg × 8, eight 82.5 kg × 12',
      ],
    },
    {
      say: 'by reps times load 100 × 7 beats 90 × 7.7 and less',
      params: { beat: 'tonnage' },
      max: null,
      exposures: [
        { verdict: 'hit', lines: [line('nine', 90, 7)] },
        { verdict: 'hit', lines: [line('nine', 100, 7)] },
      ],
      asked: ['nothing', 'nine 90 kg × 7', 'nine 100 kg × 7'],
    },
  ],
})

/** Whether a set is more than another, by load and reps or by their product. */
function isMore(
  { load, reps }: SetSeen,
  other: { load: Load | null; reps: number },
  beat: Params['beat'],
): boolean {
  if (!load || !other.load) return load !== null
  if (beat === 'tonnage') return load.value * reps > other.load.value * other.reps
  const heavier = compareLoads(load, other.load)
  return (heavier > 0 && reps >= other.reps) || (heavier >= 0 && reps > other.reps)
}

function line(id: string, value: number, reps: number) {
  return { id, sets: [{ load: { value, unit: 'kg' as const }, reps }] }
}
