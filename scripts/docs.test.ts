import { readFileSync } from 'node:fs'
import { fixtureNames } from '../core/fixtures/read.ts'
import { describe, expect, test } from '@jest/globals'
import { Ajv2020 } from 'ajv/dist/2020.js'
import { readMember } from '@young-oak/core/facts'
import { formatIssue } from '@young-oak/core/parsing'
import { readOwnExercises, readTemplate, type Template } from '@young-oak/core/template'
import { generated } from './docs.ts'

/** An example as it was parsed, before anything has read it. */
type Json = ReturnType<typeof JSON.parse>

const root = new URL('../', import.meta.url)
const read = (path: string): string => readFileSync(new URL(path, root), 'utf8')
const ajv = new Ajv2020({ strict: false, validateFormats: false })
const compiled = (name: string) => ajv.compile(JSON.parse(read(`docs/schemas/${name}-2.schema.json`)))

test.each(Object.keys(generated()))('%s is up to date (npm run docs)', (path) => {
  expect(read(path)).toBe(generated()[path])
})

describe('the JSON Schemas', () => {
  const [template, member] = [compiled('template'), compiled('member')]
  test.each(fixtureNames)('take the fixture %s', (name) => {
    template(JSON.parse(read(`core/fixtures/${name}/template.json`)))
    expect(template.errors).toBeNull()
    member(JSON.parse(read(`core/fixtures/${name}/member.json`)))
    expect(member.errors).toBeNull()
  })

  // The schema and the reader must agree on the shape of a file: what one refuses, the other does.
  const good = () => JSON.parse(read('core/fixtures/amrap-set-and-deload/template.json'))
  test.each<[string, (file: ReturnType<typeof good>) => void]>([
    ['an unknown key', (file) => (file.colour = 'red')],
    ['a percent of 0', (file) => (file.slots.bench.rows.p[0][0].load.percent = 0)],
    ['a percent of 400', (file) => (file.slots.bench.rows.p[0][0].load.percent = 400)],
    ['sets that are text', (file) => (file.slots.bench.rows.p[0][0].sets = '3')],
    ['reps that run backwards', (file) => (file.slots.bench.rows.p[0][0].goal.reps = { from: 5 })],
    ['an unknown exercise', (file) => (file.slots.bench.exercise = 'bench')],
    ['an unknown load', (file) => (file.slots.bench.rows.p[0][0].load = { of: 'moon' })],
    ['a change with a stray key', (file) => (file.phases[0].deloads[0].do.x = 1)],
    ['no phases', (file) => (file.phases = [])],
    ['another format', (file) => (file.format = 3)],
  ])('refuse %s, as the reader does', (_, spoil) => {
    const file = good()
    expect(template(file)).toBe(true)
    spoil(file)
    expect(template(file)).toBe(false)
    expect(readTemplate(file).issues?.length).toBeGreaterThan(0)
  })
})

describe('the format documents', () => {
  test('hold example files that read', () => {
    const blocks = [...read('docs/template-format.md').matchAll(/```json\n([\s\S]*?)```/g)].map(([, text]) =>
      JSON.parse(text ?? ''),
    )
    const whole = blocks.filter((block) => block.format === 2)
    expect(whole.length).toBeGreaterThan(0)
    for (const block of whole) expect(readTemplate(block).issues).toBeUndefined()
    const [brought] = blocks.filter((block) => block.exercises && block.format === undefined)
    expect(readOwnExercises(brought.exercises).issues).toEqual([])
  })
})

describe('what can be said, and where', () => {
  const rows = [...read('docs/language.md').matchAll(/^\| (?!what +\||-).*$/gm)].map(([row]) =>
    row
      .split('|')
      .slice(1, -1)
      .map((cell) => cell.trim()),
  )
  test('has rows', () => expect(rows.length).toBeGreaterThan(20))
  test.each(rows)('%s', (...cells) => {
    const [fixture = '', spec = ''] = cells.slice(-2)
    expect(cells).toHaveLength(7)
    expect(fixtureNames).toContain(fixture)
    const [file = '', title = ''] = spec.split(': ')
    expect(read(`e2e/${file}.spec.ts`)).toContain(`test('${title}`)
  })
})

describe('an example of a piece', () => {
  const text = read('docs/template-format.md') + read('docs/member-format.md')
  const pieces = [...text.matchAll(/```json (\w+)\n([\s\S]*?)```/g)].map(
    ([, kind = '', piece = '']) => [kind, JSON.parse(piece) as object] as const,
  )
  const [whole = ''] = [...read('docs/template-format.md').matchAll(/```json\n([\s\S]*?)```/g)].map(
    ([, block]) => block,
  )

  /** The whole example with the piece in its place. */
  const put: Record<string, (file: Json, piece: object) => void> = {
    phase: (file, piece) => Object.assign(file.phases[0], piece, { deloads: [] }),
    adjustment: (file, piece) => (file.phases[0].deloads = [piece]),
    slot: (file, piece) => (file.slots['a-squat'] = piece),
    warmUp: (file, piece) => (file.warmUp = piece),
    progression: (file, piece) => (file.progressions.squat = piece),
    track: (file, piece) => (file.tracks.lighter = piece),
  }

  test('is there of each kind', () =>
    expect([...new Set(pieces.map(([kind]) => kind))].sort()).toEqual([...Object.keys(put), 'set'].sort()))

  test.each(pieces.filter(([kind]) => kind !== 'set'))('reads: %s %j', (kind, piece) => {
    const file = JSON.parse(whole) as Json
    put[kind]?.(file, piece)
    for (const slot of Object.values(file.slots) as { rows: Record<string, unknown[]> }[])
      if (kind === 'phase') slot.rows.build = (slot.rows.build ?? []).slice(0, 1)
    expect((readTemplate(file).issues ?? []).map(formatIssue)).toEqual([])
  })

  test.each(pieces.filter(([kind]) => kind === 'set'))('reads: %s %j', (_, piece) => {
    const template = readTemplate(JSON.parse(whole)).template as Template
    const enrolments = [{ segments: [{ from: '2026-03-02' }] }]
    const logs = [{ date: '2026-03-02', position: 1, sets: [piece] }]
    const { issues = [] } = readMember({ format: 2, enrolments, facts: [], logs }, { template })
    expect(issues.map(formatIssue)).toEqual([])
  })
})
