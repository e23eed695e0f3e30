import { describe, expect, test } from '@jest/globals'
import { publicationSchema, type Publication } from '@young-oak/api/forms/publication'
import { publishSchema } from '@young-oak/api/publications'
import { readTemplate, type Template } from '@young-oak/core/template'
import { faultyFields } from '../../testing/faultyFields.ts'
import { newPublication, onTracksOf, publishOf, putOn } from './publication.ts'

const template = (ends: boolean): Template =>
  readTemplate({
    format: 2,
    name: 'Publish',
    phases: [
      { id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1, ...(ends && { ends: 'test day' }) },
    ],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: {
      squat: {
        exercise: 'backSquat',
        rows: { p: [[{ sets: 3, goal: { reps: 5 }, load: { of: 'free' } }]] },
      },
    },
  }).template as Template
const member = '0b0e6f5e-7a0d-4b58-9d1b-3b9f4a1f2c11'
const whole: Publication = { ...newPublication(template(false), false), members: [member] }

describe('a publication', () => {
  test('begins with nobody, and on the calendar only where weeks count back from a test', () => {
    expect(newPublication(template(false), false)).toMatchObject({ members: [], clock: 'own', track: 'keep' })
    expect(newPublication(template(true), false).clock).toBe('calendar')
  })

  test.each<[string, string | null | undefined]>([
    ['keep', undefined],
    ['', null],
    ['lighter', 'lighter'],
  ])('with the track "%s" is sent as the server reads it', (track, sent) => {
    const body = { id: member, revision: 0, ...publishOf({ ...whole, track }) }
    expect(body.track).toBe(sent)
    expect(publishSchema.isValidSync(body, { strict: true })).toBe(true)
  })

  test('is sent with the days of their own of those who are chosen alone', () => {
    const own = { member, start: '2026-12-09' }
    const stray = { member: '1b0e6f5e-7a0d-4b58-9d1b-3b9f4a1f2c11', start: '2026-12-09' }
    const sent = publishOf({ ...whole, ownStarts: [own, stray], onUsualDay: true, carry: true })
    expect(sent).toMatchObject({ ownStarts: [own], onUsualDay: true, carry: true })
    expect(publishSchema.isValidSync({ id: member, revision: 0, ...sent }, { strict: true })).toBe(true)
    expect(Object.keys(publishOf(whole))).not.toEqual(expect.arrayContaining(['ownStarts']))
  })

  test('puts members on a track by hand, each on one, and sends those who are chosen', () => {
    const [other, stray] = ['1b0e6f5e-7a0d-4b58-9d1b-3b9f4a1f2c11', '2b0e6f5e-7a0d-4b58-9d1b-3b9f4a1f2c11']
    const light = putOn([], [member, other, stray], 'light')
    const moved = putOn(light, [member], '')
    expect(moved).toEqual([
      { track: 'light', members: [other, stray] },
      { track: '', members: [member] },
    ])
    expect(onTracksOf(template(false), { ...whole, ownTracks: moved }).ownTracks).toEqual([
      { track: '', members: [member] },
    ])
    expect(putOn(moved, [member], null)).toEqual([{ track: 'light', members: [other, stray] }])
    expect(putOn(moved, [member], 'light')).toEqual([{ track: 'light', members: [other, stray, member] }])
    const sent = publishOf({ ...whole, members: [member, other], ownTracks: moved })
    expect(sent.ownTracks).toEqual([
      { track: 'light', members: [other] },
      { track: null, members: [member] },
    ])
    expect(publishSchema.isValidSync({ id: member, revision: 0, ...sent }, { strict: true })).toBe(true)
    expect(Object.keys(publishOf({ ...whole, ownTracks: putOn([], [stray], 'light') }))).not.toContain(
      'ownTracks',
    )
  })

  test.each<[string, Partial<Publication>, string]>([
    ['a member without a day', { ownStarts: [{ member, start: '' }] }, 'ownStarts[0].start'],
    ['a day without a member', { ownStarts: [{ member: '', start: '2026-12-09' }] }, 'ownStarts[0].member'],
    ['nobody', { members: [] }, 'members'],
    ['no day', { start: '' }, 'start'],
    ['a day that there is not', { start: '2026-02-30' }, 'start'],
    ['a note that is a book', { note: 'x'.repeat(2001) }, 'note'],
  ])('to %s is refused at its field', (_, change, field) => {
    expect(faultyFields(publicationSchema, { ...whole, ...change })).toEqual([field])
  })
})
