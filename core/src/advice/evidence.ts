import { type WhyStep, declareSteps } from '../words/index.ts'
import { liftName, type Library, type Lift } from '../library/index.ts'
import { dueAfter, fallingIn, limits, weeksWithout, type LiftSignal, type Signals } from './signals.ts'

const say = declareSteps({
  'advice.weary': 'freshness is {freshness} of 5',
  'advice.mood': 'mood is {mood} of 5',
  'advice.joints': 'joints ache',
  'advice.hard': 'sessions of the last two weeks were rated {hardness} of 10 for effort',
  'advice.sore': 'still sore at several sessions: {muscles}',
  'advice.tooMuch': 'a muscle felt overworked after {count} sessions',
  'advice.drift': 'less RIR than asked on {lifts}',
  'advice.misses': '{lift} was missed {misses} times in a row',
  'advice.falls': '{lift}: e1RM is down {percent}%',
  'advice.due': '{weeks} weeks without a deload; here one is due after {after}',
})

export const evidenceMessages = say.messages

/** Signs of tiredness beside the bar, each as evidence. */
export function tiredness(
  library: Library,
  { checkIns, hardness, soreMuscles, lifts, tooMuch }: Signals,
): WhyStep[] {
  const [latest] = checkIns
  const made: WhyStep[] = []
  if (latest?.freshness !== undefined && latest.freshness <= limits.poor)
    made.push(say('advice.weary', { freshness: latest.freshness }))
  if (latest?.mood !== undefined && latest.mood <= limits.poor)
    made.push(say('advice.mood', { mood: latest.mood }))
  if (latest?.joints === 'achy') made.push(say('advice.joints', {}))
  if (hardness !== null && hardness >= limits.hard) made.push(say('advice.hard', { hardness }))
  if (soreMuscles.length > 1) made.push(say('advice.sore', { muscles: soreMuscles.join(', ') }))
  if (tooMuch > 1) made.push(say('advice.tooMuch', { count: tooMuch }))
  const drifted = lifts.filter(({ rirDrift }) => rirDrift !== null && rirDrift <= limits.rirDrift)
  if (drifted.length > 1) made.push(say('advice.drift', { lifts: names(library, drifted) }))
  return made
}

/** Lifts that fall, as evidence. */
export const falls = (library: Library, signals: Signals): WhyStep[] =>
  fallingIn(signals).map((one) => fall(library, one))

export const fall = (library: Library, { lift, missesInARow, change }: LiftSignal): WhyStep =>
  missesInARow >= limits.missesInARow
    ? say('advice.misses', { lift: liftName(library, lift), misses: missesInARow })
    : say('advice.falls', { lift: liftName(library, lift), percent: Math.abs(change ?? 0) })

/** A deload that has been long in coming, as evidence. */
export function isDue(signals: Signals): WhyStep[] {
  const weeks = weeksWithout(signals)
  const after = dueAfter(signals)
  return weeks >= after ? [say('advice.due', { weeks, after })] : []
}

export const names = (library: Library, lifts: { lift: Lift }[]): string =>
  lifts.map(({ lift }) => liftName(library, lift)).join(', ')
