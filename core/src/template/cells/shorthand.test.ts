import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fixtureNames, readFixture } from '../../../fixtures/read.ts'
import type { SetPrescription, Slot, Template } from '../types.ts'
import { formatSets, readLine, readSets } from './shorthand.ts'
import { shorthandExamples } from './shorthandExamples.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const slot: Slot = {
  exercise: 'backSquat',
  by: 'week',
  uses: [{ progression: 'squat', role: 'main' }],
  rows: {},
}
const template = {
  trainingMax: 90,
  slots: { squat: slot },
  sessions: {},
  progressions: { squat: { stages: [] } },
} as unknown as Template
/** A bare percent is of the training max where there is one. */
const plain: Template = { ...template, trainingMax: undefined }
const read = (typed: string, now: SetPrescription[] = []) =>
  readSets(library, typed, now, slot, /TM/.test(typed) ? template : plain)
const sets = (typed: string, now: SetPrescription[] = []) => {
  const { prescriptions, fault } = read(typed, now)
  if (!prescriptions) throw new Error(fault)
  return prescriptions
}

describe('shorthand', () => {
  test.each(shorthandExamples)('$typed is $means', ({ typed, means }) => {
    expect(formatSets(library, sets(typed))).toBe(means)
  })

  test('every example, as it is written back, is read as the same', () => {
    for (const { typed } of shorthandExamples) {
      const once = sets(typed)
      expect(sets(formatSets(library, once))).toEqual(once)
    }
  })

  test('all sets of all fixtures are read back from what is written of them', () => {
    let count = 0
    for (const name of fixtureNames) {
      const { library, versions } = readFixture(name)
      const draft = Object.values(versions)[0] as Template
      for (const own of Object.values(draft.slots))
        for (const row of Object.values(own.rows).flat()) {
          if (own.circuit || row.some(({ load }) => 'slot' in load || 'prescription' in load)) continue
          const back = readSets(library, formatSets(library, row), row, own, draft)
          expect([name, formatSets(library, row), back.fault ?? back.prescriptions]).toEqual([
            name,
            formatSets(library, row),
            row,
          ])
          count += 1
        }
    }
    expect(count).toBeGreaterThan(200)
  })

  test.each([
    ['1 x AMRAP', '1 × AMRAP @ free'],
    ['1 x to failure', '1 × AMRAP @ free'],
    ['3 x 2 at least 2, until 1 to 2 come slow', '3 × 2 @ free at least 2 until 1 to 2 come slow'],
    ['3 sets of AMRAP @ 60%', '3 × AMRAP @ 60%'],
    ['4 x max reps', '4 × AMRAP @ free'],
    ['3 x 8+ each set', '3 × 8+ every set @ free'],
    ['2 to 3 x 8', '2-3 × 8 @ free'],
    ['3–4 sets of 10', '3-4 × 10 @ free'],
    ['3 x 8 to 10 reps', '3 × 8-10 @ free'],
    ['2-3 x 5 @ 80%, 1 x AMRAP @ 70%', '2-3 × 5 @ 80%; 1 × AMRAP @ 70%'],
    ['6 x most reps in 5 min', '6 × most reps in 5:00 @ free'],
    ['1 x 12 then 4x4 after 15s', '1 × 12 then 4×4 after 15s, counts as 3 @ free'],
    ['10 rounds every 1 min', '1 × 10 rounds every 1:00 @ free'],
    ['30 in all', '3 × 30 in all, any sets @ free'],
    ['3 x 30 in all', '3 × 30 in all @ free'],
    ['8-10', '3 × 8-10 @ free'],
    ['3x45 sec', '3 × 0:45 @ free'],
    ['3x5 @ 90% of the 5RM', '3 × 5 @ 90% 5RM'],
    ['3x8 @RPE8', '3 × 8 @ free R2'],
    ['3x8 @ 2 RIR, 2 min rest', '3 × 8 @ free R2 rest 2:00'],
    ['3x8 tempo 3-1-X-0', '3 × 8 @ free tempo 31X0'],
    ['3x10 at body weight', '3 × 10 @ no load'],
    ['2x50 total', '2 × 50 in all @ free'],
  ])('%s is %s', (typed, means) => expect(formatSets(library, sets(typed))).toBe(means))

  test('a percent of the 1RM is one too where the template states a training max', () => {
    const [prescribed] =
      readSets(library, '3 sets of 5 at 75% of the 1RM', [], slot, template).prescriptions ?? []
    expect(prescribed?.load).toEqual({ of: 'max', percent: 75 })
    expect(readSets(library, '3x5 @ 75%', [], slot, template).prescriptions?.[0]?.load.of).toBe('trainingMax')
  })

  test('what is not said stays, line by line', () => {
    const now = sets('5 x 5 @ 75% R2 rest 3:00; 2 x 8 @ 60%')
    expect(formatSets(library, sets('@ 80%; R3', now))).toBe('5 × 5 @ 80% R2 rest 3:00; 2 × 8 @ 60% R3')
    expect(formatSets(library, sets('4 x 4', now))).toBe('4 × 4 @ 75% R2 rest 3:00')
    expect(sets('@ 80%', now)[0]?.id).toBe(now[0]?.id)
  })

  test.each([
    ['heavy', 'Reps:'],
    ['3 x 8 style odd', 'Style: one of'],
    ['5 x 5 @ 100 kg', 'has no kilos'],
    ['40 x 5', 'Sets'],
    ['5 x 5 @ 400%', 'percent'],
    ['5 x 5 @ 110%', 'More than 100%'],
    ['3 x 8 rpe 8.5', 'RPE in whole numbers'],
    ['3 x 8 tempo 9', 'Tempo: four digits'],
    ['3 x 8 until the bar slows', 'the fewest sets'],
    ['3 x to failure', '5+ is five and beyond'],
    ['5-3 x 8', 'The fewest sets'],
    ['3-40 x 8', 'Sets'],
    ['3 x 8 superset', 'Alt + J'],
    ['3 x 8 @ 2-3 RIR', 'one number'],
    ['3 x 5 linear progression', 'Choose the progression'],
    ['10 x 3 EMOM', 'every 1:00'],
    ['', 'Sets like'],
    [Array.from({ length: 13 }, () => '3 x 8').join(';'), 'At most 12 lines'],
  ])('%s is refused with a plain sentence', (typed, sentence) => {
    expect(read(typed).fault).toContain(sentence)
  })

  test('anything at all that is typed is read or refused, and nothing throws', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (typed) => {
        const { prescriptions, fault } = read(typed)
        expect(prescriptions === undefined).toBe(fault !== undefined)
      }),
    )
    const word = fc.constantFrom(
      '3',
      'x',
      '5',
      '@',
      '75%',
      'R2',
      'rest',
      '3:00',
      ';',
      'until',
      'each side',
      'rule',
      'top',
      '-',
      '8-10',
      'tempo',
      '31X0',
    )
    fc.assert(
      fc.property(fc.array(word, { maxLength: 12 }), (words) => {
        const { prescriptions } = read(words.join(' '))
        if (prescriptions) expect(sets(formatSets(library, prescriptions))).toEqual(prescriptions)
      }),
      { numRuns: 1000 },
    )
  })
})

describe('a whole line', () => {
  test.each([
    ['back squat 5 x 5 @ 75%', 'backSquat', '5 x 5 @ 75%'],
    ['bench: 3x8 R2', 'benchPress', '3x8 R2'],
    ['rom dead', 'romanianDeadlift', ''],
    ['plank 3 x 0:45', 'plank', '3 x 0:45'],
    ['squat 5x5', 'backSquat', '5x5'],
    ['OHP 3x5', 'overheadPress', '3x5'],
    ['pull ups 3x8', 'pullUp', '3x8'],
    ['DB bench 3x10', 'dumbbellBenchPress', '3x10'],
    ['RDLs 3x8', 'romanianDeadlift', '3x8'],
    ['deadlift top set of 3', 'deadlift', 'top set of 3'],
    ['row 3x8', 'barbellRow', '3x8'],
    ['row 500 m', 'rowErg', '500 m'],
    ['rowing do: easy, nose breathing', 'rowErg', 'do: easy, nose breathing'],
  ])('%s', (typed, exercise, rest) => {
    expect(readLine(library, typed)).toMatchObject({ exercise, sets: rest })
  })

  test('a word that is no exercise is kept as it was typed', () => {
    expect(readLine(library, 'bnech 3x5')).toMatchObject({ exercise: null, name: 'bnech', sets: '3x5' })
  })
})
