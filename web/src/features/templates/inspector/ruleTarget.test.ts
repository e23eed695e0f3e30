import { describe, expect, test } from '@jest/globals'
import {
  applyCommand,
  checkCommand,
  invert,
  isConflict,
  readTemplate,
  type Command,
  type RuleOfStage,
  type Template,
} from '@young-oak/core/template'
import {
  addStage,
  commandFor,
  phasesWithout,
  removePhaseRule,
  removeStage,
  rulesFor,
  standsAt,
} from './ruleTarget.ts'

const params = { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 }
const phase = (id: string) => ({ id, name: id, weeks: 2, rotation: ['a'], perWeek: 1 })
const rows = [[{ sets: 3, goal: { reps: 5 }, load: { of: 'progression' } }]]
const { template } = readTemplate({
  format: 2,
  name: 'Two phases',
  phases: [phase('p'), phase('q')],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: {
    squat: { exercise: 'backSquat', uses: [{ progression: 'squat' }], rows: { p: rows, q: rows } },
  },
  progressions: { squat: { stages: [{ id: 'one', rule: 'linear', params }] } },
})
const draft = template as Template
const linear = (more: object = {}) => ({ rule: 'linear', params: { ...params, ...more } }) as RuleOfStage

function after(at: Template, command: Command | null): Template {
  if (!command) throw new Error('no command')
  expect(checkCommand({}, at, command)).toEqual([])
  const made = applyCommand(at, command)
  if (isConflict(made)) throw new Error(made.conflict({}))
  expect(applyCommand(made, invert(command))).toEqual(at)
  expect(readTemplate(JSON.parse(JSON.stringify(made))).issues).toBeUndefined()
  return made
}

describe('a rule’s form', () => {
  const at = { progression: 'squat', stage: 'one' }
  test('changes nothing where nothing was typed, in whatever order its numbers stand', () => {
    const { misses, ...rest } = params
    expect(
      commandFor(draft, at, { rule: 'linear', params: { misses, ...rest } } as RuleOfStage, {}),
    ).toBeNull()
  })
  test('changes no more than was typed: numbers, the rule, or how it goes on', () => {
    expect(commandFor(draft, at, linear({ misses: 2 }), {})?.do).toBe('setParams')
    const wave = { rule: 'stepBand', params: { ...params, hits: 2 } } as RuleOfStage
    expect(commandFor(draft, at, wave, {})?.do).toBe('setRule')
    expect(commandFor(draft, at, linear(), { waits: 'technique' })?.do).toBe('setProgression')
    const made = after(draft, commandFor(draft, at, linear(), { waits: 'technique' }))
    expect(standsAt(made, at).ways).toEqual({ waits: 'technique' })
  })
  test('offers the rules that keep their state of the same thing', () => {
    const kinds = rulesFor(draft, 'squat')
    expect(kinds).toContain('wave')
    expect(kinds).not.toContain('muscleWeek')
    expect(kinds).not.toContain('rangeStep')
  })
})

describe('a rule that follows', () => {
  const two = after(draft, addStage(draft, 'squat'))
  const second = two.progressions.squat?.stages[1]?.id ?? ''
  test('goes on near where the lift stands, when the one before has stalled', () => {
    expect(two.progressions.squat?.stages).toMatchObject([
      { until: { trigger: 'stalled', misses: 2, of: 3 } },
      { params: { startLast: 90 } },
    ])
  })
  test('is offered, and removed again with the sign and the offer', () => {
    const at = { progression: 'squat', stage: 'one' }
    const until = { trigger: 'outgrown' as const, exposures: 6 }
    const offered = after(two, commandFor(two, at, linear(), { until, offers: true }))
    expect(offered.progressions.squat?.stages[0]).toMatchObject({ until, offers: true })
    expect(after(offered, removeStage(offered, 'squat', second))).toEqual(draft)
  })
  test('the only rule stays', () => expect(removeStage(draft, 'squat', 'one')).toBeNull())
})

describe('a rule of one phase', () => {
  const at = { progression: 'squat', phase: 'q' }
  test('begins as the first rule, stands once, is changed and removed', () => {
    expect(standsAt(draft, at)).toMatchObject({ isNew: true, rule: { rule: 'linear' } })
    const own = after(draft, commandFor(draft, at, linear({ misses: 1 }), {}))
    expect(standsAt(own, at)).toMatchObject({ isNew: false, rule: { params: { misses: 1 } } })
    expect(phasesWithout(own, 'squat')).toEqual(['p'])
    const changed = after(own, commandFor(own, at, linear({ misses: 2 }), {}))
    expect(changed.progressions.squat?.inPhases).toHaveLength(1)
    expect(after(changed, removePhaseRule(changed, 'squat', 'q'))).toEqual(draft)
  })
  test('has no place in a template of one phase', () => {
    expect(phasesWithout({ ...draft, phases: draft.phases.slice(0, 1) }, 'squat')).toEqual([])
  })
})
