import { type WhyStep, declareSteps } from '../words/index.ts'
import { formulaOf, type FormulaKind } from '../maxes/index.ts'
import type { MaxInForce } from './source.ts'

/** The steps of a max. */
export const sayMax = declareSteps({
  'max.held': 'more than the 1RM only where the template asks for it: {load}',
  'max.ofOwn': 'no more than the lift’s own max allows for these reps: {load}',
  'max.ratio': '1RM {load}: {percent}% of the {of} max of {base}, {date}, until it has its own',
  'max.tested': '1RM {load}, tested on {date}',
  'max.testedLongAgo': '1RM {load}, tested on {date}, {weeks} weeks ago: too old to trust',
  'max.estimated': '1RM {load}, accepted on {date} from {set} × {reps} by {formula}',
  'max.estimatedLongAgo':
    '1RM {load}, accepted on {date} from {set} × {reps} by {formula}, {weeks} weeks ago: too old to trust',
  'max.testedOnBody': '1RM {load}: body weight {body} {sign} {set}, tested on {date}',
  'max.testedOnBodyLongAgo':
    '1RM {load}: body weight {body} {sign} {set}, tested on {date}, {weeks} weeks ago: too old to trust',
  'max.estimatedOnBody':
    '1RM {load}, accepted on {date} from body weight {body} {sign} {set}, × {reps} by {formula}',
  'max.estimatedOnBodyLongAgo':
    '1RM {load}, accepted on {date} from body weight {body} {sign} {set}, × {reps} by {formula}, {weeks} weeks ago: too old to trust',
})

/** The first rung of every load that comes from a max: its size, its day, how it is known, and whether it is too old. */
export function maxStep({ load, date, from, staleWeeks, ratio }: MaxInForce): WhyStep {
  if (ratio) return sayMax('max.ratio', { load, date, ...ratio })
  const data: WhyStep['data'] = { load, date }
  if (from) {
    const reps = from.rir ? `${from.reps} @ ${from.rir} RIR` : from.reps
    Object.assign(data, { set: from.load, reps })
    if (from.formula) data.formula = formulaOf[from.formula as FormulaKind].title
    if (from.body) Object.assign(data, { body: from.body, sign: from.help ? '−' : '+' })
  }
  const how = from?.formula ? 'estimated' : 'tested'
  const on = from?.body ? 'OnBody' : ''
  if (staleWeeks === undefined) return sayMax(`max.${how}${on}`, data)
  return sayMax(`max.${how}${on}LongAgo`, { ...data, weeks: staleWeeks })
}
