import { object } from 'yup'
import { at, idField } from '../../reading/index.ts'
import { readTrack } from '../read.ts'
import { readAdjustment } from '../readAdjustment.ts'
import { sayAdjustment } from '../sayAdjustment.ts'
import { limits, trackShape } from '../shape.ts'
import type { Id, Template, Track } from '../types.ts'
import { changed, defineCommand, gone, same } from './command.ts'

/** The whole of a track; null where there is none. */
export const setTrack = defineCommand<'setTrack'>({
  apply(draft, { track: id, from, to }) {
    const { [id]: own = null, ...others } = draft.tracks
    if (!own && from) return gone(`The track ${from.name}`)
    if (!same(own, from)) return changed(`The track ${own?.name}`, 'something else')
    return { ...draft, tracks: to ? { ...draft.tracks, [id]: to } : others }
  },
  check(checker, { tracks }, { track: id, from, to }) {
    if (to === null) return
    const path = at('tracks', id)
    checker.check(object({ id: idField('a track’s id').required() }), { id }, path)
    readTrack(checker, to, path)
    if (!from && Object.keys(tracks).length >= limits.tracks)
      checker.add('tracks', `at most ${limits.tracks} tracks`, to.name)
  },
  say: (_, { from, to }) => `Track ${(to ?? from)?.name} ${from ? (to ? 'changed' : 'removed') : 'added'}`,
})

export const setTrackName = defineCommand<'setTrackName'>({
  apply(draft, { track: id, from, to }) {
    const own = draft.tracks[id]
    if (!own) return gone(`The track ${from}`)
    return own.name === from
      ? withTrack(draft, id, { ...own, name: to })
      : changed('The track’s name', own.name)
  },
  check: (checker, _, { track, to }) =>
    void checker.check(trackShape.pick(['name']), { name: to }, at('tracks', track)),
  say: (_, { from, to }) => `Track ${from} → ${to}`,
})

/** One change of a track; null where there is none. */
export const setChange = defineCommand<'setChange'>({
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
    readAdjustment(checker, to, path)
    if (to.id !== change) checker.add(`${path}.id`, `the id ${change}`, to.id)
    if ((tracks[track]?.changes.length ?? 0) >= limits.changes)
      checker.add(path, `at most ${limits.changes} changes`, limits.changes + 1)
  },
  say(draft, { track, from, to }) {
    const one = to ?? from
    const { where, what } = one ? sayAdjustment(draft, one) : { where: '', what: '' }
    const name = draft.tracks[track]?.name ?? 'Track'
    return `${name}: ${where}, ${what}${to ? '' : ', no more'}`
  },
})

const withTrack = (draft: Template, id: Id, track: Track): Template => ({
  ...draft,
  tracks: { ...draft.tracks, [id]: track },
})
