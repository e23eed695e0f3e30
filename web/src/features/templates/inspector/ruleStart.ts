import { ruleOf, type RuleKind, type Stage } from '@young-oak/core/progressions'

/**
 * What a rule begins with in place of another: the numbers that they share, an example's for the rest, and for members who
 * are on the lift already a little below where it stands, so that none falls back to where everybody starts.
 */
export function paramsFor(rule: RuleKind, stage: Pick<Stage, 'rule' | 'params'>): object {
  if (rule === stage.rule) return stage.params
  const { params, examples } = ruleOf[rule]
  const own = Object.fromEntries(Object.entries(stage.params).filter(([key]) => key in params.fields))
  const isStarted = starts.some((key) => key in own)
  const sample = Object.entries(examples[0]?.params ?? {}).filter(
    ([key]) => !(isStarted && starts.includes(key)),
  )
  const standing = 'startLast' in params.fields ? { startLast: 90 } : {}
  return { ...Object.fromEntries(sample), ...standing, ...own }
}

/** The ways of stating a first load exclude one another, so they are taken from one rule or from the other. */
const starts = ['startPercent', 'startReps', 'startLoad', 'startLast']
