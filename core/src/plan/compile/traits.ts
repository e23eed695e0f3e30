import { ruleOf, type RuleKind } from '../../progressions/index.ts'
import { rulesOf, type Progression } from '../../template/index.ts'

/** What a progression's rules are, stage by stage, as replay asks of them for each exposure. */
export type Traits = {
  rules: readonly (typeof ruleOf)[RuleKind][]
  /** Some rule of it writes loads: slots may read them of another day, in another role, or at a percentage in the same one. */
  writesLoad: boolean
  readsTop: boolean
  hearsSets: boolean
  hearsLines: boolean
  /** It counts a muscle's sets, so each slot is heard by itself. */
  ofMuscle: boolean
}

/** The traits of a progression, worked out once: one that has been read is never changed in place. */
export function traitsOf(progression: Progression | undefined): Traits {
  if (!progression) return none
  const known = kept.get(progression)
  if (known) return known
  const rules = rulesOf(progression).map(({ rule }) => ruleOf[rule])
  const made: Traits = {
    rules,
    writesLoad: rules.some(({ writes }) => writes.includes('load')),
    readsTop: rules.some(({ readsTop }) => readsTop === true),
    hearsSets: rules.some(({ hearsLighter }) => hearsLighter === true),
    hearsLines: rules.some(({ hearsLines }) => hearsLines === true),
    ofMuscle: rules.some(({ of }) => of === 'muscle'),
  }
  kept.set(progression, made)
  return made
}

const kept = new WeakMap<Progression, Traits>()
const none: Traits = {
  rules: [],
  writesLoad: false,
  readsTop: false,
  hearsSets: false,
  hearsLines: false,
  ofMuscle: false,
}
