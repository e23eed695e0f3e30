import type { Adjustment } from '../../adjustments/index.ts'
import { at, type Id } from '../../parsing/index.ts'
import { sayAdjustment } from '../compare/sayAdjustment.ts'
import { readChangeOf } from '../read/readAdjustment.ts'
import { limits } from '../read/shape.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { withTrack } from './tracks.ts'
import { same } from './values.ts'

/**
 * One change of a track; null where there is none. One that is put in or taken out stands behind `after`, first where that is empty,
 * last where it is not said.
 */
export const setChange = defineCommand<{
  do: 'setChange'
  track: Id
  change: Id
  after?: Id
  from: Adjustment | null
  to: Adjustment | null
}>({
  do: 'setChange',
  apply(draft, { track: id, change, after, from, to }) {
    const own = draft.tracks[id]
    if (!own) return gone('The track')
    const now = own.changes.find((one) => one.id === change) ?? null
    if (!now && from) return gone(`The change in ${own.name}`)
    if (!same(now, from)) return changed(`The change in ${own.name}`, 'something else')
    if (now) {
      const changes = own.changes.flatMap((one) => (one === now ? (to ? [to] : []) : [one]))
      return withTrack(draft, id, { ...own, changes })
    }
    const before = own.changes.findIndex((one) => one.id === after)
    const place = after === undefined ? own.changes.length : before + 1
    const changes = [...own.changes.slice(0, place), ...(to ? [to] : []), ...own.changes.slice(place)]
    return withTrack(draft, id, { ...own, changes })
  },
  check(checker, { tracks }, { track, change, to }) {
    if (to === null) return
    const path = `${at('tracks', track)}.changes`
    readChangeOf(checker, to, path)
    if (to.id !== change) checker.add(`${path}.id`, `the id ${change}`, to.id)
    if ((tracks[track]?.changes.length ?? 0) >= limits.changes)
      checker.add(path, `at most ${limits.changes} changes`, limits.changes + 1)
  },
  say(library, draft, { track, from, to }) {
    const one = to ?? from
    const { where, what } = one ? sayAdjustment(library, draft, one) : { where: '', what: '' }
    const name = draft.tracks[track]?.name ?? 'Track'
    return `${name}: ${where}, ${what}${to ? '' : ', removed'}`
  },
  inverse: swapped,
  renew: fromNow(
    ({ tracks }, { track, change }) =>
      tracks[track] && (tracks[track].changes.find(({ id }) => id === change) ?? null),
  ),
})
