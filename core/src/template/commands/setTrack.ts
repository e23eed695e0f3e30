import { object } from 'yup'
import { at, idField, type Id } from '../../parsing/index.ts'
import { readTrack } from '../read/read.ts'
import { limits } from '../read/shape.ts'
import type { Track } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { same } from './values.ts'

/** The whole of a track; null where there is none. */
export const setTrack = defineCommand<{ do: 'setTrack'; track: Id; from: Track | null; to: Track | null }>({
  do: 'setTrack',
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
  say: (_library, _draft, { from, to }) =>
    `Track ${(to ?? from)?.name} ${from ? (to ? 'changed' : 'removed') : 'added'}`,
  inverse: swapped,
  renew: fromNow(({ tracks }, { track }) => tracks[track] ?? null),
})
