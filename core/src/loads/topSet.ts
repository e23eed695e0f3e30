import { idField, percentField, stepField, strictObject } from '../parsing/index.ts'
import { liftOf } from '../library/index.ts'
import { formatNumber, type Step } from '../units/index.ts'
import { defineSource, percentBefore } from './source.ts'
import { sayTopSet, topSetStep } from './topSetStep.ts'

type Params = { percent?: number; drop?: Step; slot?: string; prescription?: string }

/**
 * Below today's top set, as it was lifted, or as it is asked while it is still to come: a percent of it, or a fixed drop in
 * both units. The top set is the heaviest before this prescription in the slot, or of the named slot or prescription.
 */
export const topSet = defineSource<Params>({
  of: 'topSet',
  title: 'Below today’s top set',
  computes: true,
  params: strictObject({
    percent: percentField(),
    drop: stepField(200),
    slot: idField('a slot that comes before this one in the session'),
    prescription: idField('the id of sets in it'),
  }).test(
    'fits',
    'exactly one of percent and drop',
    (p) => (p.percent === undefined) !== (p.drop === undefined),
  ),
  cell: ({ percent, drop }) =>
    drop
      ? `top −${formatNumber(drop.kg)}kg/${formatNumber(drop.lb)}lb`
      : `${formatNumber(percent ?? 100)}% top`,
  reads: ({ slot, prescription }) => ({ ...(slot && { slot }), ...(prescription && { prescription }) }),
  read(typed) {
    const drop = /^top\s*[-−]\s*(\d+(?:\.\d+)?)\s*kg\s*\/\s*(\d+(?:\.\d+)?)\s*lb$/.exec(typed)
    if (drop) return { drop: { kg: Number(drop[1]), lb: Number(drop[2]) } }
    const percent = percentBefore(typed, /^top$/)
    return percent === null ? null : { percent }
  },
  price({ lift, today }, { percent = 100, drop, slot, prescription }) {
    const uses = {
      percent,
      ...(drop && { drop }),
      ...(slot && { slot }),
      ...(prescription && { prescription }),
    }
    const seen = today?.(slot, prescription) ?? { load: null }
    if ('lacks' in seen)
      return { need: 'topSet', lift, ...(seen.lacks === 'otherLift' && { of: liftOf(seen.of) }) }
    const { load: top, felt, isOther } = seen
    const read = { ...(felt && { felt }), ...(isOther && { isOther }) }
    if (!top) return { later: uses, ...read, steps: [sayTopSet('topSet.later', {})] }
    const minus = drop && { value: drop[top.unit], unit: top.unit }
    return {
      base: top,
      percent,
      ...(minus && { minus }),
      ...read,
      today: uses,
      steps: [sayTopSet('topSet.asked', { load: top }), topSetStep(percent, minus)],
    }
  },
  messages: sayTopSet.messages,
  examples: [
    {
      say: '90% of a top set of 100 kg is 90 kg',
      params: { percent: 90 },
      known: { today: () => ({ load: { value: 100, unit: 'kg' } }) },
      want: { value: 90, unit: 'kg' },
    },
    {
      say: '20 kg below a single of 140 kg is 120 kg',
      params: { drop: { kg: 20, lb: 40 } },
      known: { today: () => ({ load: { value: 140, unit: 'kg' } }) },
      want: { value: 120, unit: 'kg' },
    },
    {
      say: 'a top set whose load is not known yet is waited for',
      params: { percent: 90 },
      known: { today: () => ({ load: null }) },
      want: 'later',
    },
    {
      say: 'the top set of a slot that is left out today gives nothing to read',
      params: { percent: 90, slot: 'squat' },
      known: { lift: { exercise: 'frontSquat' }, today: () => ({ lacks: 'leftOut' }) },
      want: { need: 'topSet', lift: { exercise: 'frontSquat' } },
    },
  ],
})
