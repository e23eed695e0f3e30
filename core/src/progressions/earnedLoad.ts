import { declareSteps } from '../words/index.ts'
import { wholeField } from '../parsing/index.ts'
import { formatLoad, highest, inUnit, lowest, snap, type Load } from '../units/index.ts'
import { firstLoadWords, sayFirstLoad, startingWith, type FirstLoad } from './firstLoad.ts'
import { defineRule } from './rule.ts'
import {
  resetWords,
  resetFields,
  sayReset,
  startSteady,
  stepOrReset,
  type Steady,
  type Steps,
} from './steady.ts'

const say = declareSteps({
  'earnedLoad.taken':
    'at least {least} reps in each set of {load} on {date}, {needed} needed: next load {next}',
  'earnedLoad.takenAhead': 'if {load} is a hit: next load {next}',
  'earnedLoad.waits': '{load} stays after {least} reps on {date}: {next} needs {needed} in each set',
  'earnedLoad.waitsAhead': 'if {load} is a hit: {next} needs {needed} in each set',
  'earnedLoad.heaviest': '{load} is the heaviest load at home',
})

type Params = FirstLoad &
  Omit<Steps, 'step'> & {
    /** The most reps that are ever asked while the next load is not earned; 3 to 30. */
    mostReps: number
  }
/** `more`: reps beyond those written that the next load is waited for with. */
type State = Steady & { more: number }

/**
 * For dumbbells and light lifts, where one step is a large jump: the rep range widens until the reps that were done have earned the
 * next load that can be made, by what both are worth; then that load, at the reps that are written.
 */
export const earnedLoad = defineRule<Params, State>({
  kind: 'earnedLoad',
  title: 'Add reps until the next load',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['load', 'reps'],
  adds: ['reps'],
  carriedBy: {
    expected: 'a load of the progression on sets of plain reps',
    fits: (goal) => 'reps' in goal && !goal.amrap,
    sample: { sets: 3, goal: { reps: { from: 8, to: 12 } } },
  },
  params: startingWith({ mostReps: wholeField('the most reps', 3, 30).required(), ...resetFields }),
  fields: {
    ...firstLoadWords,
    mostReps: {
      label: 'Most reps before the next load',
      unit: 'reps',
      hint: 'Reps rise no further, even if the next load is far away.',
    },
    ...resetWords,
  },
  sentence: (p) =>
    `${sayFirstLoad(p)}. After a hit: one rep more, up to ${p.mostReps}. When every set has an e1RM (Epley) that is enough for the next load ` +
    `at the fewest reps written: that load. ${sayReset(p)}.`,
  start: (known, p) => startSteady(known, p, { more: 0 }),
  next({ more, ...steady }, exposure, p, hand) {
    const { date, verdict, asked, reps, target } = exposure
    if (verdict !== 'hit') return { ...stepOrReset(steady, exposure, { ...p, step: none }, hand), more }
    const load = inUnit(target ?? steady.load, hand.unit)
    const next = hand.above(load)
    const written = lowest(asked) - more
    const least = date ? Math.min(...reps, p.mostReps) : highest(asked)
    const needed = next && repsFor(load, next, written)
    const data = {
      load,
      next: next ? formatLoad(next) : '',
      needed: needed ?? 0,
      least,
      ...(date && { date }),
    }
    if (next && needed !== null && least >= Math.min(needed, p.mostReps))
      return { load: next, misses: 0, more: 0, why: [say(`earnedLoad.taken${ahead(date)}`, data)] }
    if (!next) return { load, misses: 0, more, why: [say('earnedLoad.heaviest', data)] }
    const isAtTop = least >= highest(asked)
    const wider = isAtTop ? Math.min(more + 1, Math.max(0, p.mostReps - (highest(asked) - more))) : more
    return { load, misses: 0, more: wider, why: [say(`earnedLoad.waits${ahead(date)}`, data)] }
  },
  credits: (state, { moreReps }) => ({ state: { ...state, more: moreReps }, order: 0 }),
  ask: ({ load, why, more }) => ({ load, ...(more && { moreReps: more }), steps: why }),
  messages: say.messages,
  examples: [
    {
      say: 'bars of 20 to 30 kg in steps of 2.5: 8 reps of 20 have earned no 22.5, which is worth 13 of them',
      params: { startLoad: { kg: 20, lb: 45 }, mostReps: 15, misses: 2, resetBy: 10 },
      max: null,
      span: { from: 8, to: 12 },
      exposures: [
        { verdict: 'hit', reps: [8, 8, 8] },
        { verdict: 'hit', reps: [12, 12, 12] },
        { verdict: 'hit', reps: [13, 13, 13], asked: { from: 9, to: 13 } },
      ],
      asked: [20, 20, '20, 1 more', 22.5],
    },
    {
      say: 'at the end of the plates there is nothing to earn',
      params: { startLoad: { kg: 500, lb: 500 }, mostReps: 15, misses: 2, resetBy: 10 },
      max: null,
      exposures: ['hit'],
      asked: [500, 500],
    },
  ],
})

const none = { kg: 0, lb: 0 }
const ahead = (date: string | null) => (date ? '' : 'Ahead')

/** Reps of a load that are worth as much as the next one for the reps that are written, by Epley (1985), up. */
function repsFor(load: Load, next: Load, written: number): number | null {
  if (!load.value) return null
  const worth = next.value * (1 + written / 30)
  return Math.ceil(snap(30 * (worth / load.value - 1)))
}
