import { ruleKinds, ruleOf, startParams, type RuleKind, type Stage } from '../../progressions/index.ts'
import { type Id, at, type Checker, fixForName } from '../../parsing/index.ts'
import { triggerKinds, triggerOf, type TriggerBasis, type TriggerKind } from '../../triggers/index.ts'
import type { PhaseRule, Progression, ProgressionStage, Template } from '../types.ts'
import { readKind } from './readKind.ts'
import { progressionShape, stageShape } from './shape.ts'

/** The stages of a progression, and its rules of single phases. */
export function readProgression(checker: Checker, value: unknown, path: string): Progression | undefined {
  const progression = checker.check(progressionShape, value, path)
  if (!progression) return undefined
  const pieces = progression.stages as unknown[]
  const seen = new Set<Id>()
  const stages = pieces.flatMap((piece, i) => {
    const place = at(at(path, 'stages'), i)
    const stage = checker.check(stageShape, piece, place)
    if (!stage) return []
    if (seen.has(stage.id)) checker.add(at(place, 'id'), 'an id that no other stage has', stage.id)
    seen.add(stage.id)
    const isLast = i === pieces.length - 1
    if (isLast !== (stage.until === undefined)) {
      const expected = isLast
        ? 'no trigger: the last stage goes on'
        : 'the trigger that ends it: two progressions cannot both have a lift'
      checker.add(at(place, 'until'), expected, stage.until)
      return []
    }
    const until = stage.until && readTrigger(checker, stage.until, at(place, 'until'))
    if (stage.offers && isLast)
      checker.add(
        at(place, 'offers'),
        'a stage after it to offer',
        stage.offers,
        'Remove it, or add a stage.',
      )
    const ruled = readRule(checker, stage, place)
    if (!ruled) return []
    const { id, offers, waits } = stage
    const own = { ...(until && { until }), ...(offers && { offers }), ...(waits && { waits }) }
    return [{ id, ...ruled, ...own } as ProgressionStage]
  })
  if (!progression.inPhases) return { stages }
  const inPhases = progression.inPhases.flatMap((one, i) => {
    const ruled = readRule(checker, one, at(at(path, 'inPhases'), i))
    return ruled ? [{ phase: one.phase, ...ruled } as PhaseRule] : []
  })
  return { stages, inPhases }
}

/**
 * Parameters that would never act: those of a start, in a phase that goes on with the state of its stage. A version that was published before
 * this was asked reads all the same.
 */
export function findIdle(checker: Checker, { progressions }: Pick<Template, 'progressions'>): void {
  for (const [id, { stages, inPhases = [] }] of Object.entries(progressions)) {
    const path = at('progressions', id)
    inPhases.forEach(({ rule, params }, i) => {
      const stage = stages.find((one) => one.rule === rule)
      if (!stage) return
      const [own, given] = [stage.params as Record<string, unknown>, params as Record<string, unknown>]
      for (const name of [...startParams, ...(ruleOf[rule].onlyAtStart ?? [])])
        if (JSON.stringify(own[name]) !== JSON.stringify(given[name]))
          checker.add(
            `${path}.inPhases[${i}].params.${name}`,
            `${JSON.stringify(own[name]) ?? 'nothing'}, as in its stage: it acts only at a start, and the phase goes on from the running load`,
            given[name],
          )
    })
  }
}

/** A rule with its parameters, as a stage or a phase has it. */
function readRule(
  checker: Checker,
  { rule: given, params }: { rule: object; params: object },
  path: string,
): Pick<Stage, 'rule' | 'params'> | undefined {
  const rule = given as unknown as RuleKind
  if (!ruleKinds.includes(rule)) {
    checker.add(at(path, 'rule'), `one of ${ruleKinds.join(', ')}`, rule, fixForName(rule, ruleKinds))
    return undefined
  }
  const read = checker.check(ruleOf[rule].params, params, at(path, 'params'))
  return read && ({ rule, params: read } as Pick<Stage, 'rule' | 'params'>)
}

/** The trigger of a stage or a phase. */
export const readTrigger = (checker: Checker, value: unknown, path: string): TriggerBasis | undefined =>
  readKind(checker, value, path, 'trigger', triggerKinds, (kind) => triggerOf[kind as TriggerKind])
