import type { Messages, Value, WhyStep } from './whyStep.ts'

/** The names that a sentence fills in: those of "{percent}% of {load}" are `percent` and `load`. */
type NamesIn<S> = S extends `${string}{${infer Name}}${infer Rest}` ? Name | NamesIn<Rest> : never
type IsOne<K, All = K> = K extends All ? ([All] extends [K] ? true : false) : never
/** What one sentence needs; where several are possible, the tester of families fills each of them. */
type DataOf<M, K extends keyof M> =
  IsOne<K> extends true ? Record<NamesIn<M[K]>, Value> : Record<string, Value>

/**
 * Declares the steps that a unit may write, each with its sentence, beside the code that writes them. What it returns makes a step: only
 * of an id that is declared, and with what its sentence fills in.
 *
 *     const say = declareSteps({ 'cap.at': '{author}: no more than {load}' })
 *     say('cap.at', { author: 'track Lighter', load })
 */
export function declareSteps<const M extends Messages>(messages: M) {
  const step = <K extends keyof M & string>(id: K, data: DataOf<M, K>): WhyStep => ({ id, data })
  return Object.assign(step, { messages })
}
