import { type WhyStep, declareSteps } from '../words/index.ts'
import { maxStep } from '../loads/index.ts'
import { listField, percentField, strictObject, wholeField } from '../parsing/index.ts'
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
import { riseWords, sayFirst, sayRise } from './firstLoad.ts'
import { defineRule } from './rule.ts'
import { repsOfSets } from './scheme.ts'
import { addedField, stepUp } from './steady.ts'

const say = declareSteps({
  'recordRotation.stands': '{load} for {reps} reps was missed on {date}: the same again next time',
})

type RepRecord = {
  reps: number
  /** Of the 1RM, the first time round; above 0, at most 150. */ startPercent: number
}
type Params = {
  /** 2 to 6 rep counts in the order of their turns. */
  rotation: RepRecord[]
  /** What beats a count's own last best. */
  step: Rise
}
/** What stands for each rep count, and the percent that it began at. */
type Standing = { load: Load; percent: number; why: WhyStep[] }
type State = { at: number; own: Record<string, Standing> }

/** The heavy exposure goes round through rep counts, each against its own last best and no other's. */
export const recordRotation = defineRule<Params, State>({
  kind: 'recordRotation',
  title: 'Rep records in rotation',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['load', 'reps'],
  carriedBy: repsOfSets,
  params: strictObject({
    rotation: listField('rep counts in rotation', 6, 2)
      .of(
        strictObject({
          reps: wholeField('reps', 1, 20).required(),
          startPercent: percentField().required(),
        }),
      )
      .required(),
    step: addedField(),
  }),
  fields: {
    rotation: { label: 'Record', unit: null, hint: 'The rep counts that rotate.' },
    'rotation.#.reps': { label: 'Record #', unit: 'reps', hint: 'The record for so many reps.' },
    'rotation.#.startPercent': {
      label: 'Record #: first load',
      unit: '% of the 1RM',
      hint: 'The load of its first attempt.',
    },
    ...riseWords('step', 'Step after a hit'),
  },
  sentence: ({ rotation: turns, step }) =>
    `Rep records in rotation: ${turns.map(({ reps, startPercent }) => `${reps} ${reps === 1 ? 'rep' : 'reps'} (first at ${formatNumber(startPercent)}% of the 1RM)`).join(', ')}. ` +
    `After a hit: +${sayRise(step)} next time for that record. After a miss: the same load again.`,
  start({ lift, max, first }, { rotation: turns }) {
    if (!max) return { need: 'max', lift }
    const own: State['own'] = {}
    for (const { reps, startPercent } of turns) {
      const percent = Math.max(1, snap(startPercent + first.points))
      const load = scale(max.load, percent)
      const why = [maxStep(max), sayFirst('first.percent', { percent, load }), ...first.steps]
      own[reps] = { load: scale(load, first.scale), percent: startPercent, why }
    }
    return { at: 0, own }
  },
  next({ at, own }, { date, verdict, target, lifted }, { rotation: turns, step }, hand) {
    if (verdict === 'hold') return { at, own }
    const turn = turns[at % turns.length] as RepRecord
    const to = (at + 1) % turns.length
    const { load, percent, why } = standing(own, turn)
    if (verdict === 'hit') {
      const asked = inUnit(target ?? load, hand.unit)
      const risen = stepUp(lifted ? heavier(asked, inUnit(lifted, hand.unit)) : asked, step, date, hand)
      return { at: to, own: { ...own, [turn.reps]: { load: risen.load, percent, why: risen.why } } }
    }
    const stands = date ? [say('recordRotation.stands', { load, reps: turn.reps, date })] : why
    return { at: to, own: { ...own, [turn.reps]: { load, percent, why: stands } } }
  },
  credits(state, { reps }, { rotation: turns }) {
    const at = turns.findIndex((turn) => turn.reps === reps)
    // Each record is a standing of its own: neither more nor less than another.
    return at < 0 ? null : { state: { ...state, at }, order: 0 }
  },
  ask({ at, own }, _role, { rotation: turns }) {
    const turn = turns[at % turns.length] as RepRecord
    const { load, why } = standing(own, turn)
    return { load, goal: { reps: turn.reps }, steps: why }
  },
  messages: say.messages,
  examples: [
    {
      say: 'fives and threes, each against its own best; a missed one waits as it was',
      params: {
        rotation: [
          { reps: 5, startPercent: 80 },
          { reps: 3, startPercent: 90 },
        ],
        step: { kg: 2.5, lb: 5 },
      },
      max: { value: 100, unit: 'kg' },
      exposures: ['hit', 'miss', 'hold', 'hit', 'hit'],
      asked: ['5 @ 80', '3 @ 90', '5 @ 82.5', '5 @ 82.5', '3 @ 90', '5 @ 85'],
    },
  ],
})

/** What stands for a turn; for a count that a new version brings, the best of the others by the percents that both begin at. */
function standing(own: State['own'], { reps, startPercent }: RepRecord): Standing {
  const known = own[reps]
  if (known) return known
  const other = Object.values(own).reduce((a, b) =>
    compareLoads(scale(b.load, a.percent), scale(a.load, b.percent)) > 0 ? b : a,
  )
  const percent = snap((100 * startPercent) / other.percent)
  const load = scale(other.load, percent)
  return {
    load,
    percent: startPercent,
    why: [sayFirst('first.ahead', { from: other.load, percent, load })],
  }
}
