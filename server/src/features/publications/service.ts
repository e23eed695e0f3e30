import type { PublicationView, Publish } from '@young-oak/api/publications'
import type { Template } from '@young-oak/core/template'
import { addDays } from '@young-oak/core/units'
import type { Database } from '../../database/open.ts'
import type { Scope } from '../../database/scope.ts'
import { forbidden, notFound, Problem } from '../../http/problem.ts'
import type { Seat } from '../../http/seat.ts'
import { addJob } from '../../jobs/addJob.ts'
import { memberScopes } from '../members/memberScope.ts'
import { publishable } from '../templates/service.ts'
import { needEditor, refuseArchived } from '../templates/owning.ts'
import { findNewest, holdTemplate, insertVersion } from '../templates/store.ts'
import { fillAnew, fillBatch, isOvertaken, leaveOutGone } from './fillStore.ts'
import {
  countMembers,
  endPublication,
  findPublication,
  gymToday,
  holdPublication,
  holdReached,
  insertPublication,
  putInForce,
  waitForTurn,
} from './store.ts'

/** A start lies no further away than this. */
const mostDaysAway = 730

/**
 * Writes a publication down, for a job to fill in: all of it or nothing. One that was sent before is answered as it stands. A draft that
 * says what its newest version says is published as that version.
 */
export async function preparePublication(
  scope: Scope,
  template: string,
  seat: Seat,
  asked: Publish,
): Promise<PublicationView> {
  const held = await holdTemplate(scope, template)
  if (!held) throw notFound('template')
  const had = await holdPublication(scope, asked.id, seat.id)
  if (had) {
    if (had.template !== template || had.staff !== seat.id)
      throw new Problem('sentBefore', 'Something else was published under this id. Load the page again.')
    return viewPublication(scope, asked.id, seat)
  }
  if (held.revision !== asked.revision)
    throw new Problem('draftMoved', 'The draft has changed since you looked. See what is new, then publish.')
  const body = publishable(scope, held.draft)
  refuseOtherTracks(body, asked)
  refuseStrays(asked)
  await refuseFarStarts(scope, asked)
  const members = [...new Set(asked.members)]
  if ((await memberScopes(scope, seat, { ids: members })).length !== members.length)
    throw new Problem('notAllowed', 'Some of these members are not assigned to you. Nothing was published.')
  if (asked.replaces !== undefined) await refuseReplacing(scope, template, seat, asked.replaces)
  const newest = await findNewest(scope, template)
  // What is published already may be given to more members by every writer.
  if (newest?.hash !== held.hash) await needEditor(scope, template, seat.id)
  else await refuseArchived(scope, template, seat.id)
  const version =
    newest && newest.hash === held.hash
      ? newest.id
      : await insertVersion(scope, { template, body, note: asked.note, staff: seat.id })
  const { begins = 'week', clock = 'own', again = false, others = 'beside', carry = false } = asked
  await insertPublication(scope, {
    ...asked,
    members,
    begins,
    clock,
    again,
    others,
    carry,
    template,
    version,
    staff: seat.id,
  })
  await addJob(scope, 'publish', asked.id)
  return viewPublication(scope, asked.id, seat)
}

export function refuseOtherTracks(
  { tracks }: Template,
  { track, tracksByRule = [], ownTracks = [] }: Publish,
): void {
  const named = [
    { path: 'track', track },
    ...tracksByRule.map((one, i) => ({ path: `tracksByRule[${i}].track`, track: one.track })),
    ...ownTracks.map((one, i) => ({ path: `ownTracks[${i}].track`, track: one.track })),
  ]
  for (const { path, track: one } of named)
    if (typeof one === 'string' && !tracks[one])
      throw new Problem('noSuchTrack', `This template has no track "${one}".`, [
        { path, message: 'This template does not have the track.' },
      ])
}

async function refuseFarStarts(scope: Scope, { start, ownStarts = [] }: Publish): Promise<void> {
  const today = await gymToday(scope)
  const [first, last] = [addDays(today, -mostDaysAway), addDays(today, mostDaysAway)]
  const starts = [
    { path: 'start', day: start },
    ...ownStarts.map((one, i) => ({ path: `ownStarts[${i}].start`, day: one.start })),
  ]
  const far = starts.find(({ day }) => day < first || day > last)
  if (!far) return
  const message = 'A start lies within two years from today.'
  throw new Problem('startsTooFar', message, [{ path: far.path, message }])
}

/** Days and tracks of their own are for members that the publication goes to, one for each. */
export function refuseStrays({ ownStarts = [], ownTracks = [], members }: Publish): void {
  const starting = new Set(members)
  const late = ownStarts.findIndex(({ member }) => !starting.delete(member))
  const onTrack = new Set(members)
  const lost = ownTracks.findIndex(({ members: own }) => own.some((member) => !onTrack.delete(member)))
  const day = 'Give a day of their own to members who are chosen, once each.'
  const track = 'Put members who are chosen on a track, each on one.'
  if (late >= 0) throw new Problem('notPossible', day, [{ path: `ownStarts[${late}].member`, message: day }])
  if (lost >= 0)
    throw new Problem('notPossible', track, [{ path: `ownTracks[${lost}].members`, message: track }])
}

async function refuseReplacing(scope: Scope, template: string, seat: Seat, id: string): Promise<void> {
  const other = await holdPublication(scope, id, seat.id)
  if (!other || other.template !== template) throw notFound('publication')
  if (!other.mayTakeBack) throw forbidden()
  if (other.state !== 'inForce')
    throw new Problem('notPossible', 'That publication is not in force, so there is nothing to replace.')
}

/**
 * Fills a publication in, batch by batch, and makes all of it count in one commit. Whoever comes to it first does it, or goes on with it; one that was called
 * off, or is done, is left alone.
 */
export async function fillPublication(database: Database, gym: string, id: string): Promise<void> {
  for (;;) {
    const filled = await database.inGym(gym, async (scope) => {
      const held = await holdPublication(scope, id, null)
      return held?.state === 'preparing' ? fillBatch(scope, id, held) : null
    })
    if (filled === null) return
    if (filled === 0) break
  }
  await database.inGym(gym, (scope) => comeIntoForce(scope, id))
}

/** What has changed for its members since they were filled in, or does by what it replaces, is filled in anew in the same commit. */
async function comeIntoForce(scope: Scope, id: string): Promise<void> {
  await waitForTurn(scope)
  const held = await holdPublication(scope, id, null)
  if (held?.state !== 'preparing') return
  const { replaces, staff } = held
  await holdReached(scope, replaces === null ? [id] : [id, replaces])
  if (!(await leaveOutGone(scope, id, staff))) return endPublication(scope, id, 'cancelled', staff)
  const other = replaces === null ? undefined : await holdPublication(scope, replaces, null)
  if (replaces !== null && other?.state === 'inForce')
    await endPublication(scope, replaces, 'withdrawn', staff)
  if (replaces !== null || (await isOvertaken(scope, id))) await fillAnew(scope, id, held)
  await putInForce(scope, id)
}

export async function viewPublication(scope: Scope, id: string, seat: Seat): Promise<PublicationView> {
  const found = await findPublication(scope, id, seat.id)
  if (!found) throw notFound('publication')
  return { ...found, ...(await countMembers(scope, id, found.state)) }
}

/** Takes a publication back, or calls it off while it is prepared; one that is over already stays as it is. */
export async function takeBack(scope: Scope, id: string, seat: Seat): Promise<PublicationView> {
  await waitForTurn(scope)
  const held = await holdPublication(scope, id, seat.id)
  if (!held) throw notFound('publication')
  if (!held.mayTakeBack)
    throw new Problem(
      'notAllowed',
      'Who published this takes it back; any writer may once that one has left.',
    )
  if (held.state === 'inForce') await endPublication(scope, id, 'withdrawn', seat.id)
  if (held.state === 'preparing') await endPublication(scope, id, 'cancelled', seat.id)
  return viewPublication(scope, id, seat)
}
