import { exerciseOf, liftKey, type Library, type Lift } from '../library/index.ts'
import type { MaxInForce } from '../loads/index.ts'
import {
  defaultFormula,
  estimate,
  formulaKinds,
  mostInReserve,
  mostRepsWarned,
  type FormulaKind,
} from '../maxes/index.ts'
import { findOnBody, liftFields } from '../member/index.ts'
import { choiceField, loadField, trueField, wholeField, type Id } from '../parsing/index.ts'
import { addLoad, compareLoads, type Day, type Load } from '../units/index.ts'
import { defineFact, factShape, type Dated } from './fact.ts'

/** A max in force: tested as a single, or an estimate that somebody accepted, with the set it came from. */
export type MaxFact = {
  /** Of a body-weight exercise what was added, 0 for body weight alone, or with `help` what was taken off. */
  load: Load
  help?: true
  reps: number
  /** Reps in reserve (RIR): they count as reps. */
  rir?: number
  how: 'tested' | 'accepted estimate'
  /** Somebody took it although it is lower than the max in force; without it a lower test is a proposal. */
  accepted?: true
  formula?: FormulaKind
} & Lift

export type KeptOfMaxes = {
  /** Accepted maxes of each lift, by date; of one date the later entry last. */
  maxes: Record<string, MaxInForce[]>
  /** Tests lower than the max in force, which nobody has accepted. */
  lower: Record<string, MaxInForce>
  /** Maxes of body-weight lifts that wait for a first body weight. */
  waiting: Dated<MaxFact>[]
  /** Maxes with more help than the body weighs, which are none. */
  impossible: Id[]
}
type Weighed = { body: { load: Load; date: Day } | null }

export const max = defineFact<MaxFact, KeptOfMaxes, Weighed>({
  kind: 'max',
  shape: factShape({
    ...liftFields,
    load: loadField(0).required(),
    help: trueField('true, where the load took off body weight'),
    reps: wholeField('reps', 1, mostRepsWarned).required(),
    rir: wholeField('RIR', 0, mostInReserve),
    how: choiceField(['tested', 'accepted estimate']),
    accepted: trueField('true, for a lower max that is to count'),
    formula: choiceField(formulaKinds),
  }),
  read(checker, fact, path) {
    findOnBody(checker, fact, path)
    return withSource(fact)
  },
  none: { maxes: {}, lower: {}, waiting: [], impossible: [] },
  learn: (known, fact, library) => learnMax(library, known, fact),
  examples: [
    {
      say: 'a tested single is the max',
      fact: { exercise: 'backSquat', load: { value: 100, unit: 'kg' }, reps: 1, how: 'tested' },
      want: {
        maxes: { backSquat: [{ load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' }] },
      },
    },
    {
      say: 'a test below the max in use is no max until somebody takes it',
      fact: { exercise: 'backSquat', load: { value: 90, unit: 'kg' }, reps: 1, how: 'tested' },
      known: {
        maxes: { backSquat: [{ load: { value: 100, unit: 'kg' }, date: '2026-02-02', how: 'tested' }] },
      },
      want: { lower: { backSquat: { load: { value: 90, unit: 'kg' }, date: '2026-03-02', how: 'tested' } } },
    },
  ],
})

/** A single @ 0 RIR is a test; any other set is an estimate that was accepted. */
function withSource(fact: Dated<MaxFact>): Dated<MaxFact> {
  if (fact.reps + (fact.rir ?? 0) === 1) return { ...fact, how: fact.how ?? 'tested' }
  return { ...fact, how: 'accepted estimate', formula: fact.formula ?? defaultFormula }
}

/**
 * An accepted max takes its place by its date. A test that is lower than the max in force waits until somebody accepts it; of a
 * body-weight lift nothing is known until the body has been weighed.
 */
export function learnMax(
  library: Library,
  known: KeptOfMaxes & Weighed,
  fact: Dated<MaxFact>,
): Partial<KeptOfMaxes> {
  const key = liftKey(fact)
  const { id, date, how, help, rir } = fact
  const isOnBody = exerciseOf(library, fact).tool === 'body weight'
  if (isOnBody && !known.body) return { waiting: [...known.waiting, fact] }
  const body = isOnBody ? known.body?.load : undefined
  const load = maxOf(fact, body)
  if (!load) return {}
  if (!load.value) return { impossible: [...known.impossible, id] }
  const isSet = fact.reps + (rir ?? 0) > 1
  const from = {
    load: fact.load,
    reps: fact.reps,
    ...(rir && { rir }),
    ...(help && { help }),
    ...(body && { body }),
    ...(isSet && { formula: fact.formula ?? defaultFormula }),
  }
  const made: MaxInForce = { load, date, how, ...((isSet || body) && { from }) }
  const had = known.maxes[key] ?? []
  const newest = had[had.length - 1]
  const isLower = how === 'tested' && newest && date >= newest.date && compareLoads(load, newest.load) < 0
  if (isLower && !fact.accepted) return { lower: { ...known.lower, [key]: made } }
  const at = had.findLastIndex((one) => one.date <= date) + 1
  const { [key]: _, ...lower } = known.lower
  return { lower, maxes: { ...known.maxes, [key]: [...had.slice(0, at), made, ...had.slice(at)] } }
}

type GivenSet = Pick<MaxFact, 'load' | 'help' | 'reps' | 'rir' | 'formula'>

/** The one-rep max that a set gives, body weight included where it is part of it; null where it gives none. */
export function maxOf({ load, help, reps, rir, formula }: GivenSet, body?: Load): Load | null {
  return estimate(body ? addLoad(body, load, help) : load, reps, formula ?? defaultFormula, rir)
}
