import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFixture } from '../../fixtures/read.ts'
import {
  applyCommand,
  checkCommand,
  fixable,
  isConflict,
  type Command,
  type Template,
} from '../template/index.ts'
import { giveBack, setCells, type CellsOf } from './cells.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const draft = readFixture('a-week-that-the-writer-fixed').versions.template as Template
const bench = (rows: number[]): CellsOf => ({ slot: 'bench', phase: 'p', rows, prescription: 'a' })
const put = (to: Template, commands: Command[]): Template =>
  commands.reduce((now, one) => {
    expect(checkCommand(library, now, one)).toEqual([])
    const next = applyCommand(now, one)
    if (isConflict(next)) throw new Error(next.conflict({}))
    return next
  }, to)
const rowOf = (of: Template, row: number) => of.slots.bench?.rows.p?.[row]?.[0]

describe('setting cells', () => {
  test('that a rule writes fixes them in these rows alone, and says nothing twice', () => {
    const after = put(draft, setCells(draft, bench([0, 2]), 'sets', 3))
    expect([0, 1, 2, 4].map((row) => rowOf(after, row)?.fixed)).toEqual([
      ['sets'],
      ['sets', 'goal'],
      ['sets'],
      undefined,
    ])
    expect(setCells(after, bench([0, 2]), 'sets', 3)).toEqual([])
  })
  test('that no rule writes fixes nothing', () => {
    expect(
      put(draft, setCells(draft, bench([0]), 'rest', 90)).slots.bench?.rows.p?.[0]?.[0],
    ).not.toHaveProperty('fixed')
    expect(setCells(draft, bench([9]), 'rest', 90)).toEqual([])
    expect(setCells(draft, { ...bench([0]), slot: 'nobody' }, 'rest', 90)).toEqual([])
  })
})

test('giving cells back undoes what fixing them did, in any order', () => {
  const cells = fc.constantFrom(...fixable)
  fc.assert(
    fc.property(fc.array(fc.tuple(cells, fc.integer({ min: 1, max: 9 })), { maxLength: 4 }), (typed) => {
      const to = (field: string, value: number) => (field === 'goal' ? { reps: value } : value)
      // The third row is all the rule's.
      let now = put(
        draft,
        typed.reduce<Command[]>((all, [field, value]) => {
          const before = put(draft, all)
          return [...all, ...setCells(before, bench([2]), field, to(field, value))]
        }, []),
      )
      for (const field of fixable)
        now = put(now, giveBack(now, { slot: 'bench', phase: 'p', row: 2, prescription: 'a' }, field))
      const { rir: _, ...row } = rowOf(now, 2) ?? {}
      expect(row).toEqual(rowOf(draft, 2))
    }),
  )
})
