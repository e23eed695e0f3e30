import { declareSteps } from '../words/index.ts'
import { isRise, wholeField } from '../parsing/index.ts'
import { lowest, type Rise, type Step } from '../units/index.ts'
import { riseWords, sayFirstLoad, sayRise, startingWith } from './firstLoad.ts'
import { defineRule } from './rule.ts'
import {
  addedField,
  sayReset,
  startSteady,
  steadyFields,
  steadyWords,
  stepOrReset,
  type Steady,
  type SteadyParams,
} from './steady.ts'

const say = declareSteps({
  'amrapSet.extra': '{reps} reps in the AMRAP set of {date}, {extra} more than asked: larger step',
  'amrapSet.far': '{reps} reps in the AMRAP set of {date}, {extra} more than asked: twice the larger step',
  'amrapSet.blank': '{load} stays: the AMRAP set of {date} was left blank (blank is not zero)',
})

type Params = SteadyParams & {
  /** Reps beyond those asked from which the larger step is due; 1 to 20. */
  extraReps: number
  extraStep: Rise
  /** Reps beyond those asked from which the larger step is taken twice; 2 to 40. Never where nothing is stated. */
  doubleFrom?: number
}

/**
 * A last set of as many good reps as possible moves the load that the percents are of. However many there are, no more than
 * the larger step, or twice that where the writer says from how many; an AMRAP set that was left blank is neither a step nor a miss.
 */
export const amrapSet = defineRule<Params, Steady>({
  kind: 'amrapSet',
  title: 'AMRAP set',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['load'],
  carriedBy: {
    expected: 'a load of the progression whose last set is an AMRAP set',
    fits: (goal) => 'reps' in goal && goal.amrap !== undefined,
    sample: { sets: 3, goal: { reps: 5, amrap: 'last' } },
  },
  params: startingWith({
    ...steadyFields,
    extraReps: wholeField('reps beyond those asked', 1, 20).required(),
    extraStep: addedField(),
    doubleFrom: wholeField('reps beyond those asked', 2, 40),
  })
    .test(
      'fits',
      '"doubleFrom" above "extraReps"',
      ({ extraReps, doubleFrom }) => doubleFrom === undefined || doubleFrom > extraReps,
    )
    .test(
      'fits',
      '"extraStep" at least "step"',
      // One of them may be missing or no step yet: that is a fault of its own.
      (params) => {
        const { step, extraStep } = params as { step?: unknown; extraStep?: unknown }
        if (!isRise(step) || !isRise(extraStep)) return true
        if ('percent' in step || 'percent' in extraStep)
          return 'percent' in step && 'percent' in extraStep && extraStep.percent >= step.percent
        return extraStep.kg >= step.kg && extraStep.lb >= step.lb
      },
    ),
  fields: {
    ...steadyWords('Step when every set is met'),
    extraReps: {
      label: 'Extra reps for the larger step',
      unit: 'reps',
      hint: 'Reps in the AMRAP set beyond those asked.',
    },
    ...riseWords('extraStep', 'Larger step'),
    doubleFrom: {
      label: 'Extra reps for twice the larger step',
      unit: 'reps',
      hint: 'Far beyond what was asked. Empty: never twice.',
      isRare: true,
    },
  },
  sentence: (p) =>
    `${sayFirstLoad(p)}. If every set is met: +${sayRise(p.step)}; if the AMRAP set has ${p.extraReps} ${p.extraReps === 1 ? 'rep' : 'reps'} ` +
    `more than asked: +${sayRise(p.extraStep)}${p.doubleFrom === undefined ? '' : `, from ${p.doubleFrom} on twice that`}. An AMRAP set left blank changes nothing. ${sayReset(p)}.`,
  start: (known, p) => startSteady(known, p, {}),
  next(state, exposure, p, hand) {
    const { date, verdict, asked, amrap: plus } = exposure
    if (!date || verdict === 'hold') return stepOrReset(state, exposure, p, hand)
    if (plus === undefined) return { ...state, why: [say('amrapSet.blank', { load: state.load, date })] }
    const extra = plus - lowest(asked)
    if (verdict === 'miss' || extra < p.extraReps) return stepOrReset(state, exposure, p, hand)
    const isFar = p.doubleFrom !== undefined && extra >= p.doubleFrom
    const next = stepOrReset(state, exposure, { ...p, step: isFar ? twice(p.extraStep) : p.extraStep }, hand)
    const step = say(isFar ? 'amrapSet.far' : 'amrapSet.extra', { reps: plus, extra, date })
    return { ...next, why: [step, ...next.why] }
  },
  ask: ({ load, why }) => ({ load, steps: why }),
  jumps: ({ step, extraStep, doubleFrom }) =>
    doubleFrom === undefined ? [step, extraStep] : [step, extraStep, twice(extraStep)],
  messages: say.messages,
  examples: [
    {
      say: 'five of 5+ add 2.5, eight add 5, sixty no more than that, and a blank adds nothing',
      params: {
        startPercent: 90,
        step: { kg: 2.5, lb: 5 },
        extraReps: 3,
        extraStep: { kg: 5, lb: 10 },
        misses: 1,
        resetBy: 10,
      },
      max: { value: 100, unit: 'kg' },
      exposures: [
        { verdict: 'hit', reps: [5], amrap: 5 },
        { verdict: 'hit', reps: [8], amrap: 8 },
        { verdict: 'hit', reps: [60], amrap: 60 },
        { verdict: 'miss', reps: [] },
        { verdict: 'miss', reps: [3], amrap: 3 },
      ],
      asked: [90, 92.5, 97.5, 102.5, 102.5, 90],
    },
    {
      say: 'eight of 5+ add 5, and ten, five more than asked, add 10 where twice is said from five on',
      params: {
        startPercent: 90,
        step: { kg: 2.5, lb: 5 },
        extraReps: 3,
        extraStep: { kg: 5, lb: 10 },
        doubleFrom: 5,
        misses: 1,
        resetBy: 10,
      },
      max: { value: 100, unit: 'kg' },
      exposures: [
        { verdict: 'hit', reps: [8], amrap: 8 },
        { verdict: 'hit', reps: [9], amrap: 9 },
        { verdict: 'hit', reps: [10], amrap: 10 },
      ],
      asked: [90, 95, 100, 110],
    },
  ],
})

/** A step taken twice, for small lifts too. */
function twice(step: Rise): Rise {
  if ('percent' in step) return { percent: 2 * step.percent }
  const both = ({ kg, lb }: Step): Step => ({ kg: 2 * kg, lb: 2 * lb })
  return step.small ? { ...both(step), small: both(step.small) } : both(step)
}
