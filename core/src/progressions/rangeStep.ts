import { type WhyStep, declareSteps } from '../words/index.ts'
import { listField, strictObject, textField, wholeField } from '../parsing/index.ts'
import { defineRule } from './rule.ts'

const say = declareSteps({
  'rangeStep.on': 'a hit on {date}, {hits} of {of}: next range {range}',
  'rangeStep.stays': 'a hit on {date}, {hits} of {of} at {range}',
  'rangeStep.onAhead': 'if the session before is a hit, {hits} of {of}: next range {range}',
  'rangeStep.staysAhead': 'if the session before is a hit, {hits} of {of} at {range}',
})

type Params = {
  /** Heights of the box, the blocks or the pins in their order, 2 to 8: each a variant of the lift with loads of its own. */
  ranges: string[]
  /** Hits at one range before the next; 1 to 50. */
  hits: number
}
type State = { at: number; hits: number; why: WhyStep[] }

/** The range of motion grows by success. Loads compare only at the same range: each one is a variant with its own max and load. */
export const rangeStep = defineRule<Params, State>({
  kind: 'rangeStep',
  title: 'Range of motion in steps',
  clock: 'exposure',
  of: 'exercise',
  from: 'asked',
  roles: ['main'],
  writes: ['variant'],
  params: strictObject({
    ranges: listField('ranges in their order', 8, 2).of(textField('a range', 60).required()).required(),
    hits: wholeField('hits at one range', 1, 50).required(),
  }).test('fits', 'ranges, each once', ({ ranges }) => new Set(ranges).size === ranges?.length),
  fields: {
    ranges: { label: 'Range', unit: null, hint: 'A range of motion, from the easiest to the hardest.' },
    'ranges.#': {
      label: 'Range #',
      unit: null,
      hint: 'As a member knows it: from the blocks, from the floor.',
    },
    hits: { label: 'Hits before the next range', unit: 'sessions', hint: 'Each range has its own loads.' },
  },
  sentence: ({ ranges, hits }) =>
    `${ranges.join(', then ')}. After ${hits === 1 ? 'a hit' : `${hits} hits`}: the next range; the last one stays. Each range has its own loads.`,
  start: () => ({ at: 0, hits: 0, why: [] }),
  next(state, { date, verdict }, { ranges, hits }) {
    if (verdict !== 'hit') return state
    const isOn = state.hits + 1 >= hits && state.at + 1 < ranges.length
    const at = isOn ? state.at + 1 : Math.min(state.at, ranges.length - 1)
    const data = { range: ranges[at] ?? '', hits: state.hits + 1, of: hits, ...(date && { date }) }
    const id = isOn ? 'rangeStep.on' : 'rangeStep.stays'
    return { at, hits: isOn ? 0 : state.hits + 1, why: [say(date ? id : `${id}Ahead`, data)] }
  },
  credits(state, { variant }, { ranges }) {
    const at = ranges.indexOf(variant ?? '')
    if (at < 0) return null
    return { state: at === state.at ? state : { ...state, at, hits: 0 }, order: at - state.at }
  },
  ask: ({ at, why }, _role, { ranges }) => ({ variant: ranges[Math.min(at, ranges.length - 1)], steps: why }),
  messages: say.messages,
  examples: [
    {
      say: 'two hits from a height, then the next; a miss counts for nothing, and the last one stays',
      params: { ranges: ['blocks 20 cm', 'blocks 10 cm', 'from the floor'], hits: 2 },
      max: null,
      exposures: ['hit', 'miss', 'hit', 'hit', 'hit', 'hit'],
      asked: [
        'blocks 20 cm',
        'blocks 20 cm',
        'blocks 20 cm',
        'blocks 10 cm',
        'blocks 10 cm',
        'from the floor',
        'from the floor',
      ],
    },
  ],
})
