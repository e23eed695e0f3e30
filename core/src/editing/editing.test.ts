import type { Library } from '../library/index.ts'
import { describe, expect, test } from '@jest/globals'
import { fixtureNames, readFixture } from '../../fixtures/read.ts'
import { addSession, copySession, moveSession, placeSession } from './sessions.ts'
import { copySlots, newSlot, nudgeSlot } from './slots.ts'
import { isFault, type Built, type Mint } from './built.ts'
import { joinSlots, makeCircuit, ungroupSlots } from './joinSlots.ts'
import { removeSession } from './removeSession.ts'
import { removeSlots } from './removeSlots.ts'
import { replaceExercise } from './replaceExercise.ts'
import { setClock } from './clock.ts'
import { placesOf, rowOnPaper } from '../calendar/index.ts'
import { formatIssue } from '../parsing/index.ts'
import {
  applyCommand,
  checkCommand,
  invert,
  isConflict,
  nominalWeeks,
  readTemplate,
  sayCommand,
  slotsOf,
  spotOf,
  type Command,
  type Template,
} from '../template/index.ts'
import { addPhase, movePhase, removePhase, repeatPhase, resizePhase, splitPhase } from './phases.ts'

const fixtures = fixtureNames.map((name) => [name, readFixture(name)] as const)
const library: Library = Object.assign({}, ...fixtures.map(([, own]) => own.library))
const templates = fixtures.map(
  ([name, { versions }]) => [name, Object.values(versions)[0] as Template] as const,
)

const minter = (): Mint => {
  let n = 0
  return () => `minted-${++n}`
}

const applied = (draft: Template, command: Command): Template => {
  const after = applyCommand(draft, command)
  if (isConflict(after)) throw new Error(after.conflict({}))
  return after
}

/** Each step that a writer may take, tried at the first place where it can be. */
const steps: Record<string, (draft: Template, mint: Mint) => Built> = {
  'a phase added': (draft, mint) => addPhase(draft, firstPhase(draft).id, { name: 'More', weeks: 3 }, mint),
  'a phase longer': (draft) => resizePhase(draft, firstPhase(draft).id, nominalWeeks(firstPhase(draft)) + 2),
  'a phase shorter': (draft) => resizePhase(draft, firstPhase(draft).id, nominalWeeks(firstPhase(draft)) - 1),
  'a phase split': (draft, mint) => splitPhase(draft, firstPhase(draft).id, 1, mint),
  'a phase repeated': (draft, mint) => repeatPhase(draft, firstPhase(draft).id, mint),
  'a phase removed': (draft) => removePhase(library, draft, firstPhase(draft).id),
  'a phase moved': (draft) => movePhase(draft, firstPhase(draft).id, 1),
  'a session added': (draft, mint) => addSession(draft, firstPhase(draft).id, 'Fresh', mint),
  'a session copied': (draft, mint) => copySession(draft, firstSession(draft), firstPhase(draft).id, mint),
  'a session removed': (draft) => removeSession(library, draft, firstSession(draft)),
  'a session copied to the front': (draft, mint) =>
    copySession(draft, firstSession(draft), firstPhase(draft).id, mint, 0),
  'a session put last': (draft) => {
    const { id, rotation } = firstPhase(draft)
    return placeSession(draft, id, firstSession(draft), rotation.length - 1)
  },
  'a session moved': (draft) => moveSession(draft, firstPhase(draft).id, firstSession(draft), 1),
  'a slot moved down': (draft) => nudgeSlot(library, draft, firstSlots(draft)[0] ?? '', 1),
  'a slot moved up': (draft) => nudgeSlot(library, draft, firstSlots(draft)[1] ?? '', -1),
  'slots copied': (draft, mint) => {
    const spot = spotOf(draft, firstSlots(draft).at(-1) ?? '')
    return spot
      ? copySlots(library, draft, firstSlots(draft), { ...spot, after: firstSlots(draft).at(-1) ?? '' }, mint)
      : { fault: 'none' }
  },
  'a slot removed': (draft) => removeSlots(library, draft, firstSlots(draft).slice(-1)),
  'slots joined': (draft) => joinSlots(library, draft, firstSlots(draft).slice(0, 2)),
  'slots parted': (draft) => ungroupSlots(library, draft, firstSlots(draft)),
  'a circuit made': (draft, mint) =>
    makeCircuit(
      library,
      draft,
      firstSlots(draft).slice(-2),
      { name: 'Tide', by: 'rounds', capSeconds: 600 },
      mint,
    ),
  'rows by exposure': (draft) => setClock(library, draft, firstSlots(draft)[0] ?? '', 'exposure'),
  'rows by day': (draft) => setClock(library, draft, firstSlots(draft)[0] ?? '', 'day'),
  'an exercise replaced': (draft) => {
    const { exercise, variant } = Object.values(draft.slots)[0] ?? { exercise: 'plank' as const }
    return replaceExercise(
      library,
      draft,
      { exercise, ...(variant && { variant }) },
      { exercise: 'hipThrust' },
    )
  },
}
const firstPhase = ({ phases }: Template) => phases[0] as Template['phases'][number]
const firstSession = (draft: Template) => firstPhase(draft).rotation[0] as string
const firstSlots = (draft: Template) => {
  const session = draft.sessions[firstSession(draft)]
  return session ? slotsOf(session) : []
}

describe('steps in building a template', () => {
  for (const [what, take] of Object.entries(steps)) {
    test(`${what}: reads as a file, is taken back whole, and says what it did, in every fixture where it can be done`, () => {
      let done = 0
      for (const [name, draft] of templates) {
        const built = take(draft, minter())
        if (isFault(built)) {
          expect(built.fault).toMatch(/^[A-Z].*\.$/)
          continue
        }
        done += 1
        const faults = checkCommand(library, draft, built).map(formatIssue)
        if (faults.length) {
          // What the check refuses is never half done: the page shows the fault and nothing changes.
          expect(faults[0]).toContain('expected')
          continue
        }
        const after = applied(draft, built)
        expect([name, applied(after, invert(built))]).toEqual([name, draft])
        expect(sayCommand(library, draft, built).length).toBeGreaterThan(4)
        const { issues = [] } = readTemplate(JSON.parse(JSON.stringify(after)), library)
        // An emptied session waits for its slots, as one that was added does.
        const others = issues.filter(({ expected }) => expected !== 'at least one slot')
        expect([name, others.map(formatIssue)]).toEqual([name, []])
      }
      expect(done).toBeGreaterThan(1)
    })
  }

  test('of all fixtures and steps few are refused for what they would leave behind', () => {
    const refused = templates.flatMap(([name, draft]) =>
      Object.entries(steps).flatMap(([what, take]) => {
        const built = take(draft, minter())
        return !isFault(built) && checkCommand(library, draft, built).length ? [`${name}: ${what}`] : []
      }),
    )
    expect(refused.length).toBeLessThan(templates.length * Object.keys(steps).length * 0.03)
  })

  test('the second half of a split is called after the first, by a name that no phase has', () => {
    const draft = readFixture('a-week-that-the-writer-fixed').versions.template as Template
    const named = (name: string, other: string) => {
      const phases = draft.phases.flatMap((phase) => [
        { ...phase, name },
        { ...phase, id: 'other', name: other },
      ])
      const built = splitPhase({ ...draft, phases }, 'p', 2, minter())
      const parts = isFault(built) || built.do !== 'several' ? [] : built.commands
      return parts.flatMap((one) => (one.do === 'addPhase' ? one.value.name : []))[0]
    }
    expect([named('Base', 'Peak'), named('Phase 1', 'Phase 3'), named('Phase 1', 'Phase 2')]).toEqual([
      'Base 2',
      'Phase 2',
      'Phase 3',
    ])
  })

  test('a split changes no week: the same sessions with the same sets on every day', () => {
    const weeks = (draft: Template) =>
      placesOf(draft).map((place) => {
        const session = draft.sessions[place.session]
        return (session ? slotsOf(session) : []).map((id) => {
          const slot = draft.slots[id]
          return slot && slot.by === 'week' ? [id, slot.rows[place.phase.id]?.[rowOnPaper(slot, place)]] : id
        })
      })
    let split = 0
    for (const [name, draft] of templates)
      for (let week = 1; week < nominalWeeks(firstPhase(draft)); week++) {
        const built = splitPhase(draft, firstPhase(draft).id, week, minter())
        if (isFault(built)) continue
        split += 1
        expect([name, week, weeks(applied(draft, built))]).toEqual([name, week, weeks(draft)])
      }
    expect(split).toBeGreaterThan(30)
  })
})

describe('one draft', () => {
  const name = 'a-track-on-running-and-new-progressions'
  const draft = templates.find(([known]) => known === name)?.[1] as Template

  test('a slot whose load another reads cannot go, and the other is named', () => {
    const [, reading] = templates.find(
      ([known]) => known === 'back-offs-follow-today',
    ) as (typeof templates)[number]
    const read = Object.values(reading.slots).flatMap(({ rows }) =>
      Object.values(rows)
        .flat(2)
        .flatMap(({ load }) => (load.of === 'topSet' && load.slot ? [load.slot] : [])),
    )[0]
    if (!read) return
    expect(removeSlots(library, reading, [read])).toMatchObject({
      fault: expect.stringContaining('is based on'),
    })
  })

  test('the last use of a progression takes it along, and undo brings both back', () => {
    const [id] = Object.entries(draft.progressions)[0] as [string, unknown]
    const users = Object.entries(draft.slots).flatMap(([slot, { uses }]) =>
      uses.some(({ progression }) => progression === id) ? [slot] : [],
    )
    const built = removeSlots(library, draft, users)
    if (isFault(built)) throw new Error(built.fault)
    const after = applied(draft, built)
    expect(after.progressions[id]).toBeUndefined()
    expect(applied(after, invert(built))).toEqual(draft)
  })

  test('phases of no weeks, of one that is not there, and splits at the edge are said plainly', () => {
    const phase = firstPhase(draft).id
    expect(resizePhase(draft, phase, 0)).toMatchObject({
      fault: expect.stringContaining('at least one week'),
    })
    expect(splitPhase(draft, phase, 2, minter())).toMatchObject({
      fault: expect.stringContaining('after week 1 to 1'),
    })
    expect(isFault(resizePhase(draft, 'nobody', 4))).toBe(true)
  })

  test('a new slot has sets in each phase that its session takes part in', () => {
    const slot = newSlot(draft, 'a', 'pullUp', [
      { id: 'work', sets: 3, goal: { reps: 5 }, load: { of: 'free' } },
    ])
    expect(Object.keys(slot.rows)).toEqual(['one'])
    expect(slot.rows.one).toHaveLength(2)
  })
})
