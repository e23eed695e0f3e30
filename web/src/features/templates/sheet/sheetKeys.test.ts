// Whatever keys come in whatever order: the keyboard stays in the sheet, every step leaves a draft that a file can hold, and undo restores it.
import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { faultOf } from '@young-oak/core/editing'
import { starterKinds, starterOf, templateOf } from '@young-oak/core/starters'
import {
  applyCommand,
  invert,
  isConflict,
  nominalWeeks,
  readTemplate,
  type Command,
  type Template,
} from '@young-oak/core/template'
import { acts, type Outcome, type SheetView } from './acts/index.ts'
import { columnsOf, lineAt, sheetFields } from './sheet.ts'
import { after, pressed, startState, viewOf, type SheetState } from './sheetState.ts'
import { pressedTyping, typed } from './typing.ts'

const library = {}
type World = { draft: Template; week: number; state: SheetState }

const chords = acts.flatMap(({ keys }) => [...keys])
const words = ['5', '75%', 'R2', '3:00', 'bench', 'back squat 5 x 5 @ 75%', 'nonsense', '', '-1', '2-4']
const move = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom('ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Ctrl+End') },
  { weight: 3, arbitrary: fc.constantFrom(...chords) },
  { weight: 2, arbitrary: fc.constantFrom(...words).map((text) => ({ text })) },
  { weight: 1, arbitrary: fc.constantFrom('Enter', 'Tab', 'Shift+Enter', 'Escape') },
)

function seen({ draft, week, state }: World): SheetView {
  const weeks = draft.phases.reduce((sum, phase) => sum + nominalWeeks(phase), 0)
  return viewOf({ library, draft, columns: columnsOf(library, draft, week), week, weeks }, state)
}

const eventOf = (chord: string) => {
  const keys = chord.split('+')
  const key = keys.pop() || '+'
  const has = (name: string) => keys.includes(name)
  return { key, ctrlKey: has('Ctrl'), metaKey: false, altKey: has('Alt'), shiftKey: has('Shift') }
}

function outcomeOf(world: World, did: string | { text: string }): Outcome | null {
  const view = seen(world)
  const { typing } = world.state
  if (typeof did !== 'string') return typed(view, did.text)
  const event = eventOf(did)
  return typing ? pressedTyping(view, typing, event as KeyboardEvent) : pressed(view, event)
}

/** The world after an outcome, as the sheet makes it happen; every step is undone once to see that it can be. */
function happened(world: World, outcome: Outcome): World {
  let { draft } = world
  if (outcome.put) {
    const fault = faultOf(library, draft, outcome.put)
    if (fault !== null) return world
    const command = outcome.put as Command
    const next = applyCommand(draft, command)
    if (isConflict(next)) throw new Error(`a step that conflicts: ${JSON.stringify(command)}`)
    expect(applyCommand(next, invert(command))).toEqual(draft)
    draft = next
  }
  return { draft, week: outcome.week ?? world.week, state: after(world.state, outcome) }
}

/** What a draft may lack while it is written: the exercises of a session, the loads of a progression. */
const untilItIsPublished = ['at least one slot', 'at least one load of the progression']

test('a thousand keys leave the keyboard in the sheet and the draft whole', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...starterKinds),
      fc.array(move, { minLength: 5, maxLength: 40 }),
      (kind, moves) => {
        let world: World = { draft: templateOf(starterOf[kind]), week: 1, state: startState }
        for (const did of moves) {
          const outcome = outcomeOf(world, did)
          if (outcome) world = happened(world, outcome)
          const { columns, at } = seen(world)
          expect(at.field).toBeGreaterThanOrEqual(0)
          expect(at.field).toBeLessThan(sheetFields.length)
          expect(columns[at.column]).toBeDefined()
          expect(lineAt(columns, at)).toBeDefined()
        }
        const { issues = [] } = readTemplate(JSON.parse(JSON.stringify(world.draft)))
        expect(issues.filter(({ expected }) => !untilItIsPublished.includes(expected))).toEqual([])
      },
    ),
    { numRuns: 60 },
  )
})
