import { describe, expect, test } from '@jest/globals'
import { fixtureJson, readFixture } from '../../../fixtures/read.ts'
import { sayIssue, sayPlace } from './sayIssue.ts'
import type { Template } from '../types.ts'
import { readTemplate } from '../read/read.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const template = readFixture('a-track-on-running-and-new-progressions').versions.template as Template
const [phase] = template.phases

describe('a place of a template', () => {
  test.each([
    ['slots.a-curl', /^Barbell curl \(.*\)$|^.* curl \(.*\)$/],
    [`slots.a-curl.rows.${phase?.id}[1][0].load.percent`, new RegExp(`\\), ${phase?.name}, week 2, load$`)],
    [`slots.a-curl.rows.${phase?.id}[0]`, new RegExp(`\\), ${phase?.name}, week 1$`)],
    ['slots.a-curl.follows[0]', /\), follows 1$/],
    ['sessions.a.parts[1].minutes', /^[^.]+, parts 2, minutes$/],
    ['phases[0].perWeek', new RegExp(`^${phase?.name}, perWeek$`)],
    ['progressions.squat.stages[0].params', /^(?!progressions).*stages 1, params$/],
  ])('%s is told as the writer calls it', (path, said) =>
    expect(sayPlace(library, template, path)).toMatch(said),
  )

  test.each(['', 'format', 'slots.nobody.rows', 'phases[9].name', 'maxes.weeks'])(
    '%s, which has no name, is told as it is',
    (path) => expect(sayPlace(library, template, path)).toBe(path),
  )

  test('whose id holds dots, and begins like another, is found', () => {
    const { slots } = template
    const odd = {
      ...template,
      slots: { ...slots, 'a-curl.x': slots['a-curl'], 'a-curlier': slots['a-curl'] },
    } as Template
    expect(sayPlace(library, odd, 'slots.a-curl.x.note')).toMatch(/, note$/)
    expect(sayPlace(library, odd, 'slots.a-curlier')).not.toMatch(/^slots/)
  })
})

test('no fault of a spoiled file, told so, names an id that its writer never saw', () => {
  const file = fixtureJson('a-track-on-running-and-new-progressions', 'template') as {
    slots: Record<string, { rows: Record<string, { load?: object }[][]> }>
  }
  const prescribed = Object.values(Object.values(file.slots)[0]?.rows ?? {})[0]?.[0]?.[0]
  if (prescribed) prescribed.load = { of: 'max', percent: 400 }
  const { issues = [] } = readTemplate(file)
  expect(issues.map((issue) => sayIssue(library, template, issue)).join()).toMatch(
    /week 1, load: expected a percent/,
  )
})
