import { describe, expect, test } from '@jest/globals'
import { readFixture } from '../../fixtures/read.ts'
import { onlyInTrack, removeChange, removeTrack } from './tracks.ts'
import { formatIssue } from '../parsing/index.ts'
import {
  applyCommand,
  invert,
  isConflict,
  readTemplate,
  slotsOf,
  type Command,
  type Template,
} from '../template/index.ts'
import { faultOf, isFault, type Built } from './built.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const draft = Object.values(readFixture('a-track-on-running-and-new-progressions').versions)[0] as Template
const after = (to: Template, built: Built): Template => {
  if (isFault(built)) throw new Error(built.fault)
  expect(faultOf(library, to, built)).toBeNull()
  const next = applyCommand(to, built)
  if (isConflict(next)) throw new Error(next.conflict({}))
  expect(applyCommand(next, invert(built as Command))).toEqual(to)
  return next
}
const faults = (template: Template) =>
  (readTemplate(JSON.parse(JSON.stringify(template))).issues ?? []).map(formatIssue)
const order = (template: Template, session: string) =>
  slotsOf(template.sessions[session] as Template['sessions'][string])

describe('a slot of one track alone', () => {
  test('leaves its session, and the track adds it behind the one before it', () => {
    const only = after(
      draft,
      onlyInTrack(library, draft, 'a-curl', 'more', () => 'minted'),
    )
    expect(order(only, 'a')).toEqual(['a-squat', 'a-bench'])
    expect(only.tracks.more?.changes.at(-1)).toMatchObject({
      do: { kind: 'add', slot: 'a-curl', after: 'a-bench' },
    })
    expect(faults(only)).toEqual([])
  })

  test('goes back into its session when the change, or the whole track, is removed: it is never left nowhere', () => {
    const only = after(
      draft,
      onlyInTrack(library, draft, 'a-curl', 'more', () => 'minted'),
    )
    for (const back of [
      after(only, removeChange(library, only, 'more', 'minted')),
      after(only, removeTrack(only, 'more')),
    ]) {
      expect(order(back, 'a')).toEqual(['a-squat', 'a-bench', 'a-curl'])
      expect(faults(back)).toEqual([])
    }
  })

  test('stays outside while another track still adds it', () => {
    const only = after(
      draft,
      onlyInTrack(library, draft, 'a-curl', 'more', () => 'minted'),
    )
    const both = after(only, {
      do: 'setChange',
      track: 'lighter',
      change: 'too',
      from: null,
      to: { id: 'too', do: { kind: 'add', slot: 'a-curl', after: 'a-bench' }, where: {} },
    })
    const one = after(both, removeTrack(both, 'more'))
    expect(order(one, 'a')).toEqual(['a-squat', 'a-bench'])
    expect(faults(one)).toEqual([])
  })

  test('cannot be the first of its session, and says what to do', () => {
    expect(onlyInTrack(library, draft, 'a-squat', 'more', () => 'minted')).toMatchObject({
      fault: expect.stringContaining('Move it down first.'),
    })
    expect(removeChange(library, draft, 'more', 'nobody')).toMatchObject({
      fault: 'This change is no longer there.',
    })
  })
})
