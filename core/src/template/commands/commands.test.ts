import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFixture } from '../../../fixtures/read.ts'
import { type Command, commandNames } from './registry.ts'
import { isConflict } from './command.ts'
import { renewCommand, applyCommand, checkCommand, invert, sayCommand } from './edit.ts'
import { spotOf } from './slots.ts'
import type { Template } from '../types.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const draft = Object.values(readFixture('a-track-on-running-and-new-progressions').versions)[0] as Template
const applied = (to: Template, command: Command) => {
  const after = applyCommand(to, command)
  if (isConflict(after)) throw new Error(after.conflict({}))
  return after
}
const conflictOf = (to: Template, command: Command) => {
  const after = applyCommand(to, command)
  return isConflict(after) ? after.conflict : null
}
const [phase] = draft.phases as [Template['phases'][number]]
const spot = spotOf(draft, 'a-curl') as NonNullable<ReturnType<typeof spotOf>>
const [track, { changes }] = Object.entries(draft.tracks)[0] as [string, Template['tracks'][string]]

/** One of each kind, as the workbench makes them. */
const samples: Command[] = [
  { do: 'setName', from: draft.name, to: 'Another' },
  { do: 'setHead', field: 'note', from: null, to: 'Read the weekly note.' },
  { do: 'setPhase', phase: 'one', field: 'defaults', from: null, to: { rest: 120 } },
  {
    do: 'setDeloads',
    phase: 'one',
    from: phase.deloads,
    to: [{ id: 'l', do: { kind: 'scaleLoad', by: -10 }, where: { weeks: [2] } }],
  },
  { do: 'movePhase', phase: 'one', from: null, to: 'two' },
  { do: 'addSession', session: 'c', value: { name: 'Third', sections: [{ name: 'Main', slots: [] }] } },
  { do: 'setSession', session: 'a', field: 'name', from: 'Session A', to: 'Monday' },
  {
    do: 'setSections',
    session: 'a',
    from: draft.sessions.a?.sections ?? [],
    to: [{ name: 'All', minutes: 50, slots: ['a-bench', 'a-squat', 'a-curl'] }],
  },
  { do: 'moveSlot', slot: 'a-curl', from: spot, to: { ...spot, after: '' } },
  { do: 'setSlotField', slot: 'a-curl', field: 'counts', from: null, to: { biceps: 0.5 } },
  { do: 'setTrack', track: 'new', from: null, to: { name: 'Short of time', changes: [] } },
  { do: 'setTrackName', track, from: draft.tracks[track]?.name ?? '', to: 'Easier' },
  { do: 'setChange', track, change: changes[0]?.id ?? '', after: '', from: changes[0] ?? null, to: null },
  {
    do: 'setRow',
    slot: 'a-curl',
    phase: 'one',
    row: 0,
    from: draft.slots['a-curl']?.rows.one?.[0] ?? [],
    to: [{ id: '1', sets: 4, goal: { reps: 12 }, load: { of: 'free' } }],
  },
]

describe('a command', () => {
  test.each(samples.map((command) => [command.do, command] as const))(
    '%s acts, is taken back, and is named',
    (_, command) => {
      expect(checkCommand(library, draft, command)).toEqual([])
      const after = applied(draft, command)
      expect(after).not.toEqual(draft)
      expect(applied(after, invert(command))).toEqual(draft)
      expect(sayCommand(library, draft, command)).toMatch(/^[A-Z].{3,}/)
    },
  )

  test('says so where somebody changed the same since, and leaves what others changed beside it', () => {
    const theirs = applied(draft, {
      do: 'setSession',
      session: 'a',
      field: 'name',
      from: 'Session A',
      to: 'Tuesday',
    })
    for (const command of samples) {
      const isSame = command.do === 'setSession'
      expect([command.do, conflictOf(theirs, command) !== null]).toEqual([command.do, isSame])
    }
  })

  test('can be put in over what somebody else wrote, where it sets one value', () => {
    const mine: Command = { do: 'setSession', session: 'a', field: 'name', from: 'Session A', to: 'Monday' }
    const theirs = applied(draft, { ...mine, to: 'Tuesday' })
    const renewed = renewCommand(theirs, mine)
    expect(renewed).toMatchObject({ from: 'Tuesday', to: 'Monday' })
    expect(applied(theirs, renewed as Command).sessions.a?.name).toBe('Monday')
    for (const command of samples) {
      const again = renewCommand(draft, command)
      if (again) expect(applied(draft, again)).toEqual(applied(draft, command))
    }
    expect(renewCommand(draft, { ...mine, session: 'gone' })).toBeNull()
  })

  test('of mine that lost its place or its value to another’s finds where to go, or says that it cannot', () => {
    const slot = draft.slots['a-curl'] as Template['slots'][string]
    const note = (on: Template) =>
      applied(on, { do: 'setSlotField', slot: 'a-curl', field: 'note', from: null, to: 'Theirs' })
    const removed = renewCommand(note(draft), {
      do: 'removeSlot',
      slot: 'a-curl',
      ...spot,
      value: slot,
    }) as Command
    expect(applied(note(draft), removed).slots).not.toHaveProperty('a-curl')
    expect(applied(applied(note(draft), removed), invert(removed))).toEqual(note(draft))

    const gone = applied(draft, { do: 'removeSlot', slot: 'a-curl', ...spot, value: slot })
    const added: Command = {
      do: 'addSlot',
      slot: 'mine',
      session: spot.session,
      section: spot.section,
      after: 'a-curl',
      value: slot,
    }
    const put = applied(gone, renewCommand(gone, added) as Command)
    expect(spotOf(put, 'mine')).toEqual({ session: spot.session, section: spot.section, after: spot.after })
    expect(renewCommand(gone, { do: 'removeSlot', slot: 'a-curl', ...spot, value: slot })).toBeNull()
    expect(renewCommand(gone, { do: 'moveSlot', slot: 'a-curl', from: spot, to: null })).toBeNull()

    const both: Command = {
      do: 'several',
      commands: [
        added,
        { do: 'moveSlot', slot: 'mine', from: { ...spot, after: 'a-curl' }, to: { ...spot, after: '' } },
      ],
    }
    const first = applied(gone, renewCommand(gone, both) as Command)
    expect(spotOf(first, 'mine')).toEqual({ ...spot, after: '' })
    expect(
      renewCommand(gone, { ...both, commands: [...both.commands, { ...added, slot: 'mine' }] }),
    ).toBeNull()
  })

  test.each<[string, Command, string]>([
    ['a phase of no weeks', { do: 'setWeeks', phase: 'one', from: 2, to: 0, rows: {} }, 'weeks'],
    [
      'more weeks than a template may have',
      { do: 'setWeeks', phase: 'one', from: 2, to: 59, rows: {} },
      'weeks in all',
    ],
    [
      'a rotation of nobody',
      { do: 'setPhase', phase: 'one', field: 'rotation', from: ['a'], to: ['gone'] },
      'sessions of this template',
    ],
    [
      'a session with slots in it',
      { do: 'removeSession', session: 'a', value: draft.sessions.a as never },
      'a session without slots',
    ],
    [
      'a progression in use',
      {
        do: 'setProgression',
        progression: Object.keys(draft.progressions)[0] ?? '',
        from: Object.values(draft.progressions)[0] ?? null,
        to: null,
      },
      'no slot that uses it',
    ],
    [
      'parts that lose a slot',
      { do: 'setSections', session: 'a', from: [], to: [{ name: 'Main', slots: ['a-squat'] }] },
      'the same slots as before',
    ],
    [
      'a deload that raises',
      {
        do: 'setDeloads',
        phase: 'one',
        from: [],
        to: [{ id: 'l', do: { kind: 'points', by: 5 }, where: { weeks: [1] } }],
      },
      'lowers something',
    ],
    [
      'a count of two sets for one',
      { do: 'setSlotField', slot: 'a-curl', field: 'counts', from: null, to: { biceps: 2 } },
      '0 to 1',
    ],
  ])('%s is refused', (_, command, expected) => {
    expect(
      checkCommand(library, draft, command)
        .map((issue) => issue.expected)
        .join('; '),
    ).toContain(expected)
  })

  test('a slot moves to another session with its rows, and back to where it stood', () => {
    const command: Command = {
      do: 'moveSlot',
      slot: 'a-squat',
      from: { session: 'a', section: 'Main', after: '' },
      to: { session: 'b', section: 'Main', after: 'b-bench' },
    }
    const after = applied(draft, command)
    expect(after.sessions.b?.sections[0]?.slots).toEqual(['b-squat', 'b-bench', 'a-squat', 'b-deadlift'])
    expect(applied(after, invert(command))).toEqual(draft)
  })

  test('whatever comes over the wire in place of one is refused, and nothing throws', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...commandNames.filter((name) => name !== 'several')),
        fc.dictionary(
          fc.constantFrom(
            'slot',
            'phase',
            'session',
            'from',
            'to',
            'value',
            'rows',
            'field',
            'row',
            'group',
            'track',
            'change',
            'after',
          ),
          fc.oneof(fc.constantFrom('one', 'a', 'a-squat', 'name', 'main'), fc.jsonValue({ maxDepth: 2 })),
        ),
        (name, rest) => {
          const command = { do: name, ...rest } as unknown as Command
          if (checkCommand(library, draft, command).length) return
          const after = applyCommand(draft, command)
          if (isConflict(after)) return
          expect(typeof sayCommand(library, draft, command)).toBe('string')
        },
      ),
      { numRuns: 2000 },
    )
  })
})
