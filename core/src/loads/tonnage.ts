import { type WhyStep, declareSteps } from '../words/index.ts'
import { mostTableReps, percentFor, repTableTitle, type RepTable } from '../maxes/index.ts'
import { choiceField, exerciseField, numberField, strictObject, textField } from '../parsing/index.ts'
import { formatNumber, inUnit, scale, snap, type Load } from '../units/index.ts'
import { exerciseNamed, liftName, type ExerciseId, type Lift } from '../library/index.ts'
import { maxStep } from './maxStep.ts'
import { defineSource } from './source.ts'

const say = declareSteps({
  'tonnage.target': '{times} × that as total tonnage: {target}',
  'tonnage.ofOther': '{times} × the {lift} max of {load} as total tonnage: {target}',
  'tonnage.weekOfOther':
    '{times} × this week’s {lift} tonnage of {week}, before deloads and other changes: {target}',
  'tonnage.week': '{times} × this week’s tonnage of {week}, before deloads and other changes: {target}',
  'tonnage.share': 'over {sets} × {reps}: {percent}% of the 1RM',
  'tonnage.held': '{reps} reps allow at most {most}% ({table}): the tonnage is not reached',
})

type Params = { times: number; per?: 'week'; exercise?: ExerciseId; variant?: string }

/**
 * A load that makes sets × reps × load come to so many times the lift's max: 20 times 100 kg over 5 × 5 is 80 kg. With `per` week it is
 * so many times what the lift has moved this week before, as it would be without deloads and other changes, which act on this load as on
 * any. With an exercise it is that lift's max, or week. Never more than the template's table allows for the reps; the tonnage then falls
 * short, and says so.
 */
export const tonnage = defineSource<Params>({
  of: 'tonnage',
  title: 'A tonnage',
  computes: true,
  isPercentage: true,
  readsReps: true,
  params: strictObject({
    times: numberField('how many times, 0.05 to 200', 0.05, 200).required(),
    per: choiceField(['week']),
    exercise: exerciseField(),
    variant: textField('a variant', 60),
  }).test(
    'fits',
    '"variant" only beside "exercise"',
    ({ exercise, variant }) => !variant || Boolean(exercise),
  ),
  cell({ times, per, exercise, variant }, library) {
    const of = exercise ? `${liftName(library, liftIn(exercise, variant)).toLowerCase()} ` : ''
    return `${formatNumber(times)}× ${of}${per ?? 'max'} in all`
  },
  read(typed, library) {
    const [, times = '', of, what] =
      /^(\d+(?:[.,]\d+)?)\s*[x×]\s*(?:(.+)\s)?(max|week)(?: in all)?$/.exec(typed) ?? []
    const [name = '', variant] = of?.split(/,\s*/) ?? []
    const exercise = of === undefined ? undefined : exerciseNamed(library, name)
    if (!what || exercise === null) return null
    return {
      times: Number(times.replace(',', '.')),
      ...(what === 'week' && { per: 'week' as const }),
      ...(exercise && liftIn(exercise, variant)),
    }
  },
  readsMax: (lift, { per, exercise, variant }) =>
    exercise && !per ? [lift, liftIn(exercise, variant)] : [lift],
  price({ library, lift, max, asked, moved, maxOf, table = 'handbook' }, { times, per, exercise, variant }) {
    if (!max) return { need: 'max', lift }
    const { sets = 1, reps = 1, rir = 0 } = asked ?? {}
    const other = exercise && liftIn(exercise, variant)
    const whole = per === 'week' ? moved?.(other ?? lift) : (other ? maxOf?.(other) : max)?.load
    // Nothing moved yet this week: there is nothing to be a part of.
    if (!whole) return other && !per ? { need: 'max', lift: other } : null
    const target = inUnit(scale(whole, times * 100), max.load.unit)
    const percent = snap((target.value * 100) / (sets * reps * max.load.value))
    const most = percentFor(table, Math.min(reps + rir, mostTableReps))
    const steps: WhyStep[] = [maxStep(max), sayTarget(whole), say('tonnage.share', { sets, reps, percent })]
    if (percent <= most) return { base: max.load, percent, most: max.load, steps }
    const held = say('tonnage.held', { most, reps, table: repTableTitle(table) })
    return { base: max.load, percent: most, most: max.load, steps: [...steps, held] }

    function sayTarget(of: Load): WhyStep {
      const data = { times, target }
      if (!other) return per ? say('tonnage.week', { ...data, week: of }) : say('tonnage.target', data)
      const named = { ...data, lift: liftName(library, other).toLowerCase() }
      return per
        ? say('tonnage.weekOfOther', { ...named, week: of })
        : say('tonnage.ofOther', { ...named, load: of })
    }
  },
  messages: say.messages,
  examples: [
    {
      say: '20 times 100 kg over 5 × 5 is 80 kg',
      params: { times: 20 },
      known: { max: tested(100), asked: { reps: 5, sets: 5 } },
      want: { value: 80, unit: 'kg' },
    },
    {
      say: '20 times over 3 × 5 would be 133%: five reps allow 87%',
      params: { times: 20 },
      known: { max: tested(100), asked: { reps: 5, sets: 3 } },
      want: { value: 87, unit: 'kg' },
    },
    {
      say: 'half of the 2,400 kg of this week over 4 × 5 is 60 kg',
      params: { times: 0.5, per: 'week' },
      known: { max: tested(100), asked: { reps: 5, sets: 4 }, moved: () => ({ value: 2400, unit: 'kg' }) },
      want: { value: 60, unit: 'kg' },
    },
    {
      say: '10 times a bench press of 100 kg over 5 × 5 is 40 kg for the overhead press',
      params: { times: 10, exercise: 'benchPress' },
      known: {
        lift: { exercise: 'overheadPress' },
        max: tested(60),
        maxOf: () => tested(100),
        asked: { reps: 5, sets: 5 },
      },
      want: { value: 40, unit: 'kg' },
    },
    {
      say: 'without that lift’s max, that one is asked for',
      params: { times: 10, exercise: 'benchPress' },
      known: { max: tested(60), maxOf: () => null, asked: { reps: 5, sets: 5 } },
      want: { need: 'max', lift: { exercise: 'benchPress' } },
    },
    {
      say: 'a quarter of the 4,000 kg that the deadlift has moved this week, over 2 × 10',
      params: { times: 0.25, per: 'week', exercise: 'deadlift' },
      known: {
        max: tested(100),
        asked: { reps: 10, sets: 2 },
        moved: ({ exercise }) => (exercise === 'deadlift' ? { value: 4000, unit: 'kg' } : null),
      },
      want: { value: 50, unit: 'kg' },
    },
    {
      say: 'a share of a week in which nothing was moved is the member’s choice',
      params: { times: 0.5, per: 'week' },
      known: { max: tested(100), asked: { reps: 5, sets: 4 }, moved: () => null },
      want: null,
    },
  ],
})

const liftIn = (exercise: ExerciseId, variant: string | undefined): Lift => ({
  exercise,
  ...(variant && { variant }),
})

function tested(value: number) {
  const load: Load = { value, unit: 'kg' }
  return { load, date: '2026-03-02', how: 'tested' as const }
}

/** Sets and reps that reach so many times the max, with the percent of it that each takes. */
export type Way = { sets: number; reps: number; percent: number }

/**
 * Ways to a tonnage that a lift can hold: whole sets of 1 to 10 reps at no more than the table allows and no less than half of the
 * max, those nearest to `sets` sets first. 20 times the max is 5 × 5 at 80% or 8 × 3 at 83.33%.
 */
export function waysTo(times: number, table: RepTable, sets: number): Way[] {
  const ways: Way[] = []
  for (let reps = 1; reps <= 10; reps++)
    for (let count = 1; count <= 12; count++) {
      const percent = snap((times * 100) / (count * reps))
      if (percent <= percentFor(table, reps) && percent >= 50) ways.push({ sets: count, reps, percent })
    }
  return ways.sort((a, b) => Math.abs(a.sets - sets) - Math.abs(b.sets - sets) || b.percent - a.percent)
}
