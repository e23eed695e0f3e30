import { describe, expect, test } from '@jest/globals'
import { exerciseNamed, findExercises } from './findExercise.ts'
import { exerciseOf } from './own.ts'
import { setCounts } from './lift.ts'
import type { Exercise } from './exercise.ts'
import { exerciseIds, exercises } from './exercises.ts'
import { otherNames } from './otherNames.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const all = Object.entries<Exercise>(exercises)

describe('the library', () => {
  test('holds at least 150 exercises, each under a name of its own', () => {
    expect(all.length).toBeGreaterThanOrEqual(150)
    expect(new Set(all.map(([, { name }]) => name.toLowerCase())).size).toBe(all.length)
  })

  test.each(all)(
    '%s is whole: its relations are there, its figures in their ranges, no muscle twice',
    (id, one) => {
      for (const other of one.substitutes ?? []) {
        expect(exerciseIds).toContain(other)
        expect(other).not.toBe(id)
      }
      // A task is no exercise: nothing stands in for it.
      expect(one.substitutes === undefined).toBe(id === 'task')
      if (one.parent) {
        expect(exerciseIds).toContain(one.parent.exercise)
        expect(one.parent.exercise).not.toBe(id)
        expect(one.parent.percent).toBeGreaterThan(20)
        expect(one.parent.percent).toBeLessThanOrEqual(150)
      }
      const works = [...one.direct, ...one.indirect]
      expect(one.direct.length > 0).toBe(id !== 'task')
      expect(new Set(works).size).toBe(works.length)
      expect(one.reps[0]).toBeLessThanOrEqual(one.reps[1])
      expect(Math.min(one.cost, one.spine)).toBeGreaterThanOrEqual(0)
      expect(Math.max(one.cost, one.spine)).toBeLessThanOrEqual(5)
      expect(one.cue).toMatch(/\.$/)
    },
  )

  test('parents lead to a lift of their own, never round in a circle', () => {
    for (const [id] of all) {
      const way = [id]
      for (let parent = exercises[id as 'backSquat'].parent as Exercise['parent']; parent;) {
        expect(way).not.toContain(parent.exercise)
        way.push(parent.exercise)
        parent = exerciseOf(library, { exercise: parent.exercise as 'backSquat' }).parent
      }
    }
  })

  // Facts of the trade: common practice, no source.
  test('a bench press is a horizontal push and an overhead press a vertical one', () => {
    expect(exercises.benchPress.pattern).toBe('horizontal push')
    expect(exercises.overheadPress.pattern).toBe('vertical push')
    expect(exercises.barbellRow.pattern).toBe('horizontal pull')
    expect(exercises.pulldown.pattern).toBe('vertical pull')
  })

  test('direct work counts 1, indirect 0.5, other work nothing, and a slot may say otherwise', () => {
    const bench = { exercise: 'benchPress' as const }
    expect(
      ['chest', 'triceps', 'quads'].map((muscle) => setCounts(library, bench, muscle as 'chest')),
    ).toEqual([1, 0.5, 0])
    expect(setCounts(library, bench, 'triceps', { triceps: 1 })).toBe(1)
  })
})

describe('finding an exercise', () => {
  test.each([
    ['back squat', 'backSquat'],
    ['BENCH', 'benchPress'],
    ['rom dead', 'romanianDeadlift'],
    ['pull up', 'pullUp'],
    ['close-grip bench', 'closeGripBenchPress'],
    ['row machine', 'rowMachine'],
    ['traps', 'shrug'],
    ['curl biceps', 'curlBarCurl'],
  ])('%s finds %s first', (typed, first) => expect(findExercises(library, typed)[0]).toBe(first))

  test('a muscle or a pattern finds all that have it', () => {
    expect(findExercises(library, 'calves').length).toBeGreaterThan(4)
    const found = findExercises(library, 'vertical pull')
    expect(found.length).toBeGreaterThan(8)
    expect(found.map((id) => exerciseOf(library, { exercise: id }).pattern)).toContain('vertical pull')
  })

  test('what an exercise is called besides is one exercise’s alone, and finds it first', () => {
    const all = Object.entries(otherNames).flatMap(([id, names]) => names.map((name) => [name, id] as const))
    expect(new Set(all.map(([name]) => name)).size).toBe(all.length)
    for (const [name, id] of all) {
      expect([name, findExercises(library, name)[0]]).toEqual([name, id])
      expect([name, exerciseNamed(library, name)]).toEqual([name, undefined])
    }
  })

  test('what is nobody’s name finds nothing, nothing typed finds all', () => {
    expect(findExercises(library, 'zzz')).toEqual([])
    expect(findExercises(library, ' ')).toEqual(exerciseIds)
    expect([exerciseNamed(library, 'Back Squat'), exerciseNamed(library, 'squat')]).toEqual([
      'backSquat',
      undefined,
    ])
  })
})
