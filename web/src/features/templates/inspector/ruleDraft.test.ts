import { describe, expect, test } from '@jest/globals'
import { triggerKinds } from '@young-oak/core/triggers'
import { applyCommand, readTemplate, type Command, type Template } from '@young-oak/core/template'
import {
  handsOn,
  paramsOfRule,
  paramsOfTrigger,
  readRule,
  ruleDraftOf,
  sayRule,
  type RuleDraft,
} from './ruleDraft.ts'
import { rulesFor, type Target } from './ruleTarget.ts'

const params = { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 }
const phase = (id: string) => ({ id, name: id, weeks: 2, rotation: ['a'], perWeek: 1 })
const rows = [[{ sets: 3, goal: { reps: 5 }, load: { of: 'progression' } }]]
const { template } = readTemplate({
  format: 2,
  name: 'Two stages',
  phases: [phase('p'), phase('q')],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: { squat: { exercise: 'backSquat', uses: [{ progression: 'squat' }], rows: { p: rows, q: rows } } },
  progressions: {
    squat: {
      stages: [
        { id: 'one', rule: 'linear', params, until: { trigger: 'stalled', misses: 2, of: 3 } },
        { id: 'two', rule: 'linear', params: { ...params, startLast: 90 } },
      ],
    },
  },
})
const draft = template as Template
const first: Target = { progression: 'squat', stage: 'one' }
const last: Target = { progression: 'squat', stage: 'two' }
const inQ: Target = { progression: 'squat', phase: 'q' }

const read = (target: Target, change: Partial<RuleDraft> = {}) =>
  readRule({}, draft, target, { ...ruleDraftOf(draft, target), ...change })
const after = (command: Command | null | undefined) =>
  (command ? (applyCommand(draft, command) as Template) : draft).progressions.squat

describe('the form of a progression', () => {
  test.each<[string, Target]>([
    ['the first stage', first],
    ['the last stage', last],
  ])('comes to no step while nothing is changed: %s', (_, target) => {
    expect(read(target)).toEqual({ value: { command: null } })
  })

  test('has a trigger only where another stage follows', () => {
    expect([first, last, inQ].map((target) => handsOn(draft, target))).toEqual([true, false, false])
  })

  test('changes a number, the technique that it waits for, and how it hands on', () => {
    const typed = { ...ruleDraftOf(draft, first).params, misses: '2' }
    expect(after(read(first, { params: typed }).value?.command)?.stages[0]?.params).toMatchObject({
      misses: 2,
    })
    expect(after(read(last, { needsTechnique: true }).value?.command)?.stages[1]).toMatchObject({
      waits: 'technique',
    })
    expect(after(read(first, { isOffer: true }).value?.command)?.stages[0]).toMatchObject({ offers: true })
  })

  test.each(triggerKinds)('hands on by each trigger, beginning with its example: %s', (trigger) => {
    const { value } = read(first, { trigger, until: paramsOfTrigger(trigger) })
    expect(after(value?.command)?.stages[0]?.until).toMatchObject({ trigger })
  })

  test('gives one phase a rule of its own, and leaves the others', () => {
    const { value } = read(inQ, { rule: 'stepBand', params: paramsOfRule(draft, inQ, 'stepBand') })
    expect(after(value?.command)?.inPhases).toMatchObject([{ phase: 'q', rule: 'stepBand' }])
    expect(after(value?.command)?.stages).toHaveLength(2)
  })

  test.each(rulesFor(draft, 'squat'))('says another progression in its own words: %s', (rule) => {
    const said = sayRule({ rule, params: paramsOfRule(draft, first, rule) })
    expect(said).toMatch(/^[A-Z].*\.$/)
  })

  test.each<[string, Partial<RuleDraft>, string[]]>([
    [
      'a number that is a word',
      { params: { ...ruleDraftOf(draft, first).params, misses: 'few' } },
      ['params'],
    ],
    ['a trigger without its number', { until: { misses: '', of: '3' } }, ['until']],
    [
      'a rule that no set can carry',
      { rule: 'amrapSet', params: paramsOfRule(draft, first, 'amrapSet') },
      ['root'],
    ],
  ])('with %s is refused at its place', (_, change, places) => {
    const { value, faults } = read(first, change)
    expect(value).toBeUndefined()
    expect(Object.keys(faults ?? {})).toEqual(places)
  })

  test('does not say what is incomplete', () => {
    expect(sayRule({ rule: 'linear', params: { misses: '' } })).toBeNull()
  })
})
