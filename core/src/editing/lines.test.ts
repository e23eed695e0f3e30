import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFixture } from '../../fixtures/read.ts'
import { isFault } from './built.ts'
import { pasteSlots } from './paste.ts'
import { checkCommand, formatSets, type Spot, type Template } from '../template/index.ts'
import { addSets, removeSets, typeNewSlot, typeOverSlot } from './lines.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const draft = Object.values(readFixture('a-track-on-running-and-new-progressions').versions)[0] as Template
const end: Spot = { session: 'a', section: 'Main', after: 'a-curl' }
const minter = () => {
  let n = 0
  return () => `minted-${++n}`
}
const added = (typed: string) => {
  const made = typeNewSlot(library, draft, end, typed, minter())
  if (made.fault !== undefined || made.command?.do !== 'addSlot') throw new Error(made.fault)
  expect(checkCommand(library, draft, made.command)).toEqual([])
  return { ...made.command.value, understood: made.understood }
}

describe('a typed line', () => {
  test('is a slot with its sets in every week of the phases that the session has a part in', () => {
    const slot = added('barbell row 4 x 8 @ 70% R2')
    expect(slot.exercise).toBe('barbellRow')
    expect(slot.rows.one?.map((row) => formatSets(library, row))).toEqual([
      '4 × 8 @ 70% R2',
      '4 × 8 @ 70% R2',
    ])
    expect(slot.understood).toBe('Barbell row: 4 × 8 @ 70% R2')
  })

  test('without sets has three of the reps that the exercise suits', () => {
    expect(formatSets(library, added('lateral raise').rows.one?.[0] ?? [])).toBe('3 × 10-20 @ free')
    expect(formatSets(library, added('plank').rows.one?.[0] ?? [])).toBe('3 × 0:20-1:00 @ no load')
  })

  test('with a variant behind a comma is a lift of its own, and is read back as it is opened', () => {
    expect(added('back squat, paused 3x5 @ 70%')).toMatchObject({
      exercise: 'backSquat',
      variant: 'paused',
      understood: 'Back squat, paused: 3 × 5 @ 70%',
    })
    expect(added('deadlift, blocks 8 cm 3 x 5')).toMatchObject({
      exercise: 'deadlift',
      variant: 'blocks 8 cm',
    })
    const over = (typed: string) =>
      typeOverSlot(library, draft, { slot: 'a-curl', phase: 'one', row: 0 }, typed, false)
    expect(over('barbell curl, slow 3x10')).toMatchObject({
      command: { commands: [{ do: 'setExercise', to: { variant: 'slow' } }, {}] },
      understood: 'Barbell curl, slow: 3 × 10 @ free',
    })
  })

  test('of one thing to be done is one, where no sets are said', () => {
    const sets = (typed: string) => formatSets(library, added(typed).rows.one?.[0] ?? [])
    expect(sets('run 20 min')).toBe('1 × 20:00 @ no load')
    expect(sets('pull ups 30 total')).toBe('3 × 30 in all, any sets @ free')
    expect(added('do: foam rolling (5 min)').exercise).toBe('task')
    expect(sets('do: foam rolling (5 min)')).toBe('1 × do: foam rolling (5 min)')
    expect(sets('plank 45 s')).toBe('3 × 0:45 @ no load')
    expect(sets('farmer walk 40 m')).toBe('3 × 40 m @ free')
  })

  test('that speaks of the rule follows the progression that the lift has already', () => {
    expect(added('back squat 3x5 @ rule').uses).toEqual([{ progression: 'squat', role: 'main' }])
    const made = typeNewSlot(library, draft, end, 'lunge 3x5 @ rule', minter())
    expect(made.fault).toContain('uses no progression')
  })

  test('of nobody’s name is refused, and names what was typed', () => {
    expect(typeNewSlot(library, draft, end, 'sqwat 3x5', minter())).toMatchObject({
      fault: expect.stringContaining('“sqwat”'),
    })
  })

  test('over a slot changes its exercise and this row, or also the rows behind it', () => {
    const at = { slot: 'a-bench', phase: 'one', row: 0 }
    const one = typeOverSlot(library, draft, at, 'incline bench 4x6 @ 72%', false)
    const all = typeOverSlot(library, draft, at, '4x6 @ 72%', true)
    if (one.fault !== undefined || all.fault !== undefined) throw new Error('fault')
    expect(one.command).toMatchObject({
      do: 'several',
      commands: [{ do: 'setExercise' }, { do: 'setRow', row: 0 }],
    })
    expect(all.command).toMatchObject({ commands: [{ row: 0 }, { row: 1 }] })
    expect(typeOverSlot(library, draft, at, 'bench', false)).toMatchObject({ command: null })
  })

  test('of sets is put below another and taken out again; the only one stays', () => {
    const more = addSets(library, draft, 'a-bench', 'one', '1')
    if (isFault(more)) throw new Error(more.fault)
    expect(checkCommand(library, draft, more)).toEqual([])
    expect(removeSets(library, draft, 'a-bench', 'one', '1')).toMatchObject({
      fault: expect.stringContaining('only line'),
    })
  })
})

describe('pasting from a spreadsheet', () => {
  const paste = (text: string) =>
    pasteSlots(
      library,
      draft,
      end,
      text.split('\n').map((line) => line.split('\t')),
      minter(),
    )
  const lines = (text: string) => {
    const { command } = paste(text)
    return command?.do === 'several'
      ? command.commands.map((one) =>
          one.do === 'addSlot'
            ? `${one.value.exercise} ${formatSets(library, one.value.rows.one?.[0] ?? [])}`
            : '',
        )
      : []
  }

  test('columns by the names of a head line, in any order', () => {
    expect(
      lines('Rest\tExercise\tWeight\tReps\tSets\n180\tFront squat\t0.75\t5\t4\n90\tLeg curl\t\t10-12\t3'),
    ).toEqual(['frontSquat 4 × 5 @ 75% rest 3:00', 'legCurl 3 × 10-12 @ free rest 1:30'])
  })

  test('an RPE is no reserve, a bare number is a percent only where its column says so, a tempo and a note come along', () => {
    const sheet = (text: string) => paste(text.replaceAll(' | ', '\t'))
    expect(
      lines('Exercise | Sets x Reps | RPE | Tempo\nBench | 3x8 | 8 | 3-1-1-0'.replaceAll(' | ', '\t')),
    ).toEqual(['benchPress 3 × 8 @ free R2 tempo 3110'])
    expect(lines('Lift | Sets | Reps | %\nSquat | 5 | 5 | 75'.replaceAll(' | ', '\t'))).toEqual([
      'backSquat 5 × 5 @ 75%',
    ])
    for (const text of ['Lift | Sets | Reps | Weight (kg)\nSquat | 5 | 5 | 75', 'Squat | 5 | 5 | 75'])
      expect(sheet(text).faults).toMatchObject([{ fault: expect.stringContaining('write 75%') }])
    const { command, unread } = sheet('Day | Exercise | Sets | Reps | Notes\nMon | Dip | 3 | 8 | Slow down')
    expect(unread).toEqual(['Day'])
    expect(command).toMatchObject({ commands: [{ value: { exercise: 'dip', note: 'Slow down' } }] })
  })

  test('columns in the usual order, and shorthand in one', () => {
    expect(lines('Bench press\t5\t5\t80%\t2\t3:00\nPull-up 4x6\nDip\t3x8')).toEqual([
      'benchPress 5 × 5 @ 80% R2 rest 3:00',
      'pullUp 4 × 6 @ free',
      'dip 3 × 8 @ free',
    ])
  })

  test('what is not understood is kept with its line and its fault, and the rest goes in', () => {
    const { command, faults } = paste(
      'Exercise\tSets\tReps\nBench press\t3\t8\nFlux press\t3\t8\nDip\tlots\t8\n\t\t',
    )
    expect(command).not.toBeNull()
    expect(faults.map(({ line, text }) => [line, text])).toEqual([
      [3, 'Flux press  3  8'],
      [4, 'Dip  lots  8'],
    ])
  })

  test('the lines of one paste stand in the order they came in, each behind the one before', () => {
    const { command } = paste('Dip\nPull-up\nPlank')
    if (command?.do !== 'several') throw new Error('nothing')
    expect(command.commands.map((one) => (one.do === 'addSlot' ? one.after : ''))).toEqual([
      'a-curl',
      'minted-1',
      'minted-2',
    ])
    expect(checkCommand(library, draft, command)).toEqual([])
  })

  test('rubbish of any kind is said line by line, and nothing throws', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ maxLength: 20 }), { maxLength: 8 }), { maxLength: 8 }),
        (rows) => {
          const { lines: count, faults } = pasteSlots(library, draft, end, rows, minter())
          expect(count + faults.length).toBeLessThanOrEqual(rows.length)
        },
      ),
    )
  })
})
