import { describe, expect, test } from '@jest/globals'
import {
  applyCommand,
  checkCommand,
  formatSets,
  isConflict,
  readTemplate,
  type Command,
  type Slot,
  type Template,
  type Use,
} from '@young-oak/core/template'
import { commandFor, removeStage } from './ruleTarget.ts'
import { stopUsing } from './slotRules.ts'
import { firstIn, ownIn, putStage, typedRow, withRole } from './slotStages.ts'

const linear = { startPercent: 80, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 }
const until = { trigger: 'stalled', misses: 2, of: 2 } as const
const draft = readTemplate({
  format: 2,
  name: 'One lift',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 3 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: { squat: { exercise: 'backSquat', uses: [{ progression: 'sq' }], rows: { p: ['3 x 5 @ rule'] } } },
  progressions: {
    sq: {
      stages: [
        { id: 'one', rule: 'linear', params: linear, until },
        { id: 'two', rule: 'linear', params: linear },
      ],
    },
  },
}).template as Template
const volumeHeavy = {
  rule: 'volumeHeavy' as const,
  params: {
    startPercent: 75,
    heavyPercent: 111,
    volumeStep: { kg: 2.5, lb: 5 },
    heavyStep: { kg: 2.5, lb: 5 },
    misses: 2,
    resetBy: 10,
  },
}
function after(at: Template, command: Command | null): Template {
  if (!command) throw new Error('no command')
  expect(checkCommand({}, at, command)).toEqual([])
  const made = applyCommand(at, command)
  if (isConflict(made)) throw new Error(made.conflict({}))
  return made
}
const squat = (at: Template) => at.slots.squat as Slot
const isWhole = (at: Template) => expect(readTemplate(JSON.parse(JSON.stringify(at))).issues).toBeUndefined()

describe('sets of a slot in a later stage', () => {
  const handed = after(draft, commandFor(draft, { progression: 'sq', stage: 'two' }, volumeHeavy, {}))

  test('come with a rule whose roles the slot does not have, and can be published', () => {
    expect(ownIn(squat(handed), 'two')?.role).toBe('volume')
    isWhole(handed)
  })

  test('have a role and sets for each day, and a day that moves nothing is a share of one that does', () => {
    const own = withRole(
      ownIn(squat(handed), 'two') as NonNullable<ReturnType<typeof ownIn>>,
      { byDay: ['volume', 'light', 'heavy'] },
      'volumeHeavy',
    )
    const made = after(handed, putStage('squat', squat(handed), 'two', own))
    isWhole(made)
    expect(own.rows.map((row) => formatSets({}, row))).toEqual([
      '3 × 5 @ progression',
      '3 × 5 @ 80% volume',
      '3 × 5 @ progression',
    ])
  })

  test('are typed as in the sheet, and what is not understood is said', () => {
    const own = firstIn(squat(draft), squat(draft).uses[0] as Use, 'two', 'linear')
    const typed = typedRow({}, draft, squat(draft), own, { i: 0, typed: '5 x 3 @ rule rest 3 min' })
    expect(typeof typed === 'string' ? typed : formatSets({}, typed.rows[0] ?? [])).toBe(
      '5 × 3 @ progression rest 3:00',
    )
    expect(typedRow({}, draft, squat(draft), own, { i: 0, typed: 'some' })).toEqual(expect.any(String))
  })

  test('go with their stage, and with the progression', () => {
    const without = after(handed, removeStage(handed, 'sq', 'two'))
    expect(squat(without).inStages).toBeUndefined()
    const alone = after(handed, stopUsing(handed, 'squat', 'sq'))
    expect(squat(alone).inStages).toBeUndefined()
    isWhole(alone)
  })
})
