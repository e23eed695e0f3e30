import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Command } from './registry.ts'
import type { RuleOfStage } from './setRule.ts'
import { compareTemplates } from '../compare/compare.ts'
import { isConflict } from './command.ts'
import { readTemplate } from '../read/read.ts'
import type { Template } from '../types.ts'
import { ruleKinds, ruleOf } from '../../progressions/index.ts'
import { cellsByRule } from '../computed.ts'
import { applyCommand, checkCommand, invert } from './edit.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const url = new URL('../../../fixtures/two-sessions-one-squat/template.json', import.meta.url)
const template = readTemplate(JSON.parse(readFileSync(url, 'utf8'))).template as Template
const [[progression, { stages }]] = Object.entries(template.progressions) as [
  [string, { stages: [RuleOfStage & { id: string }] }],
]
const [{ id: stage, rule, params }] = stages
const put = (to: object): Command => ({
  do: 'setRule',
  progression,
  stage,
  from: { rule, params },
  to: to as RuleOfStage,
})
const exampleOf = (kind: keyof typeof ruleOf) => ({ rule: kind, params: ruleOf[kind].examples[0]?.params })

describe('another rule in place of one', () => {
  test.each(ruleKinds)(
    'is put in and taken back, and what it needs is what a file would need: %s',
    (kind) => {
      const command = put(exampleOf(kind))
      const after = applyCommand(template, command)
      if (isConflict(after)) throw new Error(after.conflict({}))
      expect(after.progressions[progression]?.stages[0]).toMatchObject(exampleOf(kind))
      expect(applyCommand(after, invert(command))).toEqual(template)
      const { issues = [] } = readTemplate(JSON.parse(JSON.stringify(after)))
      expect(checkCommand(library, template, command).length > 0).toBe(issues.length > 0)
    },
  )

  test.each<[string, object, string]>([
    ['no such rule', { rule: 'heavier', params: {} }, `progressions.${progression}.stages.rule`],
    ['nothing at all', {}, `progressions.${progression}.stages.rule`],
    ['a rule without numbers', { rule: 'wave' }, `progressions.${progression}.stages.params`],
    ['numbers of another rule', { rule: 'wave', params }, `progressions.${progression}.stages.params`],
    ['sets that cannot carry it', exampleOf('amrapSet'), 'uses'],
    ['a role that it has not', exampleOf('volumeHeavy'), 'uses'],
  ])('is refused at its place: %s', (_, to, path) => {
    const [issue] = checkCommand(library, template, put(to))
    expect(issue?.path).toContain(path)
  })

  test('is a conflict where somebody has put in another since, or the progression is gone', () => {
    const other = applyCommand(template, put(exampleOf('wave'))) as Template
    expect(applyCommand(other, put(exampleOf('stepBand')))).toHaveProperty('conflict')
    const gone = { ...put(exampleOf('wave')), progression: 'nobody' } as Command
    expect(applyCommand(template, gone)).toHaveProperty('conflict')
  })

  test('stands in the list of what a version changed', () => {
    const after = applyCommand(template, put(exampleOf('wave'))) as Template
    expect(JSON.stringify(compareTemplates(library, template, after))).toMatch(/waves of 4 × 8/i)
  })
})

describe('the cells that a rule writes', () => {
  const [slot] = Object.values(template.slots).filter(({ uses }) =>
    uses.some((one) => one.progression === progression),
  )
  const row = Object.values(slot?.rows ?? {})[0]?.[0] ?? []
  const cells = (kind: keyof typeof ruleOf) => {
    const after = applyCommand(template, put(exampleOf(kind))) as Template
    return slot && row[0] ? cellsByRule(after, slot, row, row[0]) : null
  }
  test('are sets and reps of a ladder, reps of records in turn, and neither of a linear rule', () => {
    expect(cells('schemeLadder')).toEqual(['sets', 'goal'])
    expect(cells('recordRotation')).toEqual(['goal'])
    expect(cells('linear')).toEqual([])
  })
})
