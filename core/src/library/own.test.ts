import { describe, expect, test } from '@jest/globals'
import { fixtureJson } from '../../fixtures/read.ts'
import { exerciseNamed, findExercises } from './findExercise.ts'
import { exerciseOf, mergeFault, withExercises, type Library, type OwnExercise, type OwnId } from './own.ts'
import { ownIdsIn, renameExercises, withOwnExercises } from './renameExercises.ts'
import { formatIssue } from '../parsing/index.ts'
import { readTemplate } from '../template/index.ts'
import { compareLifts, liftName, setCounts } from './lift.ts'

const sled: OwnExercise = {
  name: 'Sledge shove',
  pattern: 'conditioning',
  tool: 'machine',
  reads: 'total',
  direct: ['quads'],
  indirect: ['calves'],
  reps: [1, 10],
  cost: 3,
  spine: 1,
  cue: 'Lean in.',
  also: 'prowl',
}
const file = () =>
  structuredClone(fixtureJson('a-gyms-own-exercises-one-merged', 'template')) as {
    exercises: Record<string, Record<string, unknown>>
  }
const faults = (input: unknown, library: Library = {}) =>
  readTemplate(input, library).issues?.map(formatIssue) ?? []

describe('exercises of a gym', () => {
  test('are known by id and by name in the library that has them, and in no other', () => {
    const library = { 'own:sled-1': sled } as const
    expect(liftName(library, { exercise: 'own:sled-1', variant: 'uphill' })).toBe('Sledge shove, uphill')
    expect(setCounts(library, { exercise: 'own:sled-1' }, 'calves')).toBe(0.5)
    expect(exerciseNamed(library, 'Sledge Shove')).toBe('own:sled-1')
    expect(findExercises(library, 'prowl')).toEqual(['own:sled-1'])
    expect([exerciseNamed({}, 'sledge shove'), findExercises({}, 'prowl')]).toEqual([undefined, []])
    expect(() => liftName({}, { exercise: 'own:sled-1' })).toThrow('unknown exercise "own:sled-1"')
  })

  test('may be called otherwise, but never become something else under their id', () => {
    const known = { 'own:sled-2': sled } as const
    const other = withExercises(known, { 'own:sled-2': { ...sled, tool: 'barbell' } })
    expect(other).toEqual({ library: known, clashes: ['own:sled-2'] })
    const { library, clashes } = withExercises(known, {
      'own:sled-2': { ...sled, name: 'Sledge push', cost: 4 },
    })
    expect([exerciseOf(library, { exercise: 'own:sled-2' }).name, clashes]).toEqual(['Sledge push', []])
    expect(exerciseOf(known, { exercise: 'own:sled-2' }).name).toBe('Sledge shove')
  })

  test('are merged where their numbers mean the same, and are then the other, out of the choice', () => {
    const [first, old] = [sled, { ...sled, name: 'Old shove' }]
    const squat = exerciseOf({}, { exercise: 'backSquat' })
    expect(mergeFault(first, first)).toMatch(/itself/)
    expect(mergeFault(first, squat)).toMatch(/Sledge shove and Back squat differ in the tool/)
    expect(mergeFault(old, first)).toBeNull()
    expect(mergeFault(first, { ...old, mergedInto: 'own:sled-3' })).toMatch(/already merged into another/)
    const library: Library = { 'own:sled-3': sled, 'own:sled-4': { ...old, mergedInto: 'own:sled-3' } }
    expect(exerciseOf(library, { exercise: 'own:sled-4' }).name).toBe('Sledge shove')
    expect(findExercises(library, 'shove')).toEqual(['own:sled-3'])
  })

  test('stand behind the library in lists, by name', () => {
    const library: Library = {
      'own:sled-5': { ...sled, name: 'Anchor drag' },
      'own:sled-6': { ...sled, name: 'Buoy lift' },
    }
    const lifts = (['own:sled-6', 'plank', 'own:sled-5', 'backSquat'] as const).map((exercise) => ({
      exercise,
    }))
    expect(lifts.sort(compareLifts(library)).map(({ exercise }) => exercise)).toEqual([
      'backSquat',
      'plank',
      'own:sled-5',
      'own:sled-6',
    ])
  })

  test('are renamed wherever a document names them, and nothing else is', () => {
    const document = {
      slot: { exercise: 'own:sled-1', note: 'own:words that are no id' },
      'own:sled-1/uphill': [1, { with: ['own:sled-1', 'own:other-1'] }, null],
    }
    const to = new Map<OwnId, OwnId>([['own:sled-1', 'own:new-1']])
    expect(renameExercises(document, to)).toEqual({
      slot: { exercise: 'own:new-1', note: 'own:words that are no id' },
      'own:new-1/uphill': [1, { with: ['own:new-1', 'own:other-1'] }, null],
    })
    expect([...ownIdsIn(document)]).toEqual(['own:sled-1', 'own:other-1'])
  })
})

test('a document of any depth is looked through without an end of the stack', () => {
  const deep = JSON.parse(`${'['.repeat(200_000)}${']'.repeat(200_000)}`) as unknown
  expect(ownIdsIn({ exercise: 'own:sled-1', deep })).toEqual(new Set(['own:sled-1']))
})

describe('a file with exercises of a gym', () => {
  test('reads, and is given out with all that it names, so that it reads again to the same', () => {
    const { template, library = {} } = readTemplate(file())
    const out = withOwnExercises(library, template as object)
    expect(Object.keys(out.exercises ?? {}).sort()).toEqual([
      'own:barge-squat',
      'own:net-hold',
      'own:slip-row',
    ])
    expect(readTemplate(out).template).toEqual(template)
  })

  test('carries what its exercises name in their turn', () => {
    const library: Library = { 'own:sled-7': { ...sled, substitutes: ['own:sled-8'] }, 'own:sled-8': sled }
    const out = withOwnExercises(library, { exercise: 'own:sled-7' })
    expect(Object.keys(out.exercises ?? {})).toEqual(['own:sled-7', 'own:sled-8'])
    expect(withOwnExercises(library, { exercise: 'backSquat' })).toEqual({ exercise: 'backSquat' })
  })

  test.each<[string, (input: ReturnType<typeof file>) => void, RegExp]>([
    [
      'a muscle that is none',
      (f) => (f.exercises['own:slip-row'] = { ...sled, direct: ['wings'] }),
      /direct.*wings/,
    ],
    ['reps the wrong way round', (f) => (f.exercises['own:slip-row'] = { ...sled, reps: [9, 3] }), /reps/],
    [
      'a muscle counted twice',
      (f) => (f.exercises['own:slip-row'] = { ...sled, indirect: ['quads'] }),
      /no muscle both/,
    ],
    ['an id of another kind', (f) => (f.exercises.sled = { ...sled }), /ids like own:sled-push.*"sled"/],
    ['something else under a known id', (f) => (f.exercises['own:slip-row'] = { ...sled }), /id of its own/],
    [
      'a merge into what is loaded otherwise',
      (f) => (f.exercises['own:net-hold'] = { ...f.exercises['own:net-hold'], mergedInto: 'backSquat' }),
      /net-hold.mergedInto.*numbers mean the same/,
    ],
    ['no list of exercises', (f) => Object.assign(f, { exercises: 'none' }), /exercises of the gym by id/],
  ])('with %s is refused with its place', (_, spoil, said) => {
    const { library } = readTemplate(file())
    const input = file()
    spoil(input)
    expect(faults(input, library).join('\n')).toMatch(said)
  })

  test('that names what nobody declares is refused where it names it', () => {
    const input = file()
    delete (input as { exercises?: unknown }).exercises
    const text = JSON.stringify(input).replaceAll('own:slip-row', 'own:never-declared')
    expect(faults(JSON.parse(text)).join('\n')).toMatch(/slots.row.exercise.*never-declared/)
  })
})
