// A release of the engine moves no load silently: the committed record is compared with what the engine plans today.
import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { recordPlans, type PlanRecord } from '../../fixtures/record.ts'
import { engine } from '../engine.ts'

const read = (path: string) => readFileSync(new URL(`../../../${path}`, import.meta.url), 'utf8')
const committed = JSON.parse(read('core/fixtures/plans.json')) as PlanRecord

test('the engine plans every fixture as it is recorded (npm run plans)', () => {
  expect(recordPlans(committed.moved)).toEqual(committed)
})

test('the CHANGELOG tells of this release, and names every fixture that the last move moved', () => {
  const sections = new Map(
    read('CHANGELOG.md')
      .split(/^## /m)
      .slice(1)
      .map((text) => [text.split(/\s/)[0] ?? '', text]),
  )
  expect(sections.get(engine)).toBeDefined()
  for (const name of committed.moved.fixtures) expect(sections.get(committed.moved.since)).toContain(name)
})
