import { readFileSync } from 'node:fs'
import { fixtureNames } from '../core/fixtures/read.ts'
import { describe, expect, test } from '@jest/globals'
import { Ajv2020 } from 'ajv/dist/2020.js'
import { readOwnExercises, readTemplate } from '@young-oak/core/template'
import { generated } from './docs.ts'

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
