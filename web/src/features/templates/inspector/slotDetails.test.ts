import { describe, expect, test } from '@jest/globals'
import { applyCommand, readTemplate, type Command, type Slot, type Template } from '@young-oak/core/template'
import { detailsOf, readDetails, sayDetails, type DetailsDraft } from './slotDetails.ts'

const line = { sets: 3, goal: { reps: 5 }, load: { of: 'max', percent: 75 } }
const { template } = readTemplate({
  format: 2,
  name: 'Details',
  warmUp: { kind: 'fewSets', sets: 3 },
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      rows: {
        p: [
          [line, { ...line, sets: 1, tempo: '31X0' }],
          [line, line],
        ],
      },
    },
  },
})
const draft = template as Template
const slot = draft.slots.squat as Slot
const at = { slotId: 'squat', phase: 'p', row: 0 }
const lines = slot.rows.p?.[0] ?? []
const now = (): DetailsDraft => detailsOf({}, slot, lines)

/** The details of a line with some of them typed otherwise. */
function typed(at: number, change: Partial<DetailsDraft['lines'][number]>): DetailsDraft {
  const own = now()
  return { ...own, lines: own.lines.map((cells, i) => (i === at ? { ...cells, ...change } : cells)) }
}
const after = (given: DetailsDraft): Slot => {
  const commands = readDetails({}, draft, at, given).value?.commands as Command[]
  return commands.reduce((done, command) => applyCommand(done, command) as Template, draft).slots
    .squat as Slot
}

describe('the details of a slot', () => {
  test('come to no step while nothing is changed', () => {
    expect(readDetails({}, draft, at, now())).toEqual({ value: { commands: [] } })
  })

  test('change every week of the phase, or this one', () => {
    const tempos = (given: DetailsDraft) => after(given).rows.p?.map((row) => row[0]?.tempo)
    const change = typed(0, { tempo: '2010' })
    expect(tempos(change)).toEqual(['2010', '2010'])
    expect(tempos({ ...change, isForAll: false })).toEqual(['2010', undefined])
  })

  test('are taken away by an empty field', () => {
    expect(after(typed(1, { tempo: '' })).rows.p?.[0]?.[1]).not.toHaveProperty('tempo')
  })

  test('have a warm-up of their own, none, or the template’s', () => {
    const warmUps = (['none', 'two', 'listed', 'template'] as const).map(
      (warmUp) => after({ ...now(), warmUp }).warmUp,
    )
    expect(warmUps[0]).toBe('none')
    expect(warmUps[1]).toEqual({ kind: 'fewSets', sets: 2 })
    expect(warmUps[2]).toMatchObject({ kind: 'listed' })
    expect(warmUps[3]).toBeUndefined()
  })

  test.each<[string, DetailsDraft, string]>([
    ['a tempo that is none', typed(0, { tempo: 'slow' }), 'lines.0.tempo'],
    ['a sign without the fewest sets', typed(0, { least: '', stop: 'it slows' }), 'lines.0.least'],
    ['a side that is none', typed(0, { perSide: 'maybe' }), 'lines.0.perSide'],
  ])('with %s are refused at their field', (_, given, field) => {
    const { value, faults } = readDetails({}, draft, at, given)
    expect(value).toBeUndefined()
    expect(Object.keys(faults ?? {})).toEqual([field])
  })

  test('are said in one sentence, each once', () => {
    expect(sayDetails({}, slot, 'p', 0)).toBe('Details: tempo 31X0')
    expect(sayDetails({}, slot, 'p', 1)).toBeNull()
  })
})
