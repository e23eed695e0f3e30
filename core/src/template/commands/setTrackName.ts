import { at, type Id } from '../../parsing/index.ts'
import { trackShape } from '../read/shape.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { withTrack } from './tracks.ts'

export const setTrackName = defineCommand<{ do: 'setTrackName'; track: Id; from: string; to: string }>({
  do: 'setTrackName',
  apply(draft, { track: id, from, to }) {
    const own = draft.tracks[id]
    if (!own) return gone(`The track ${from}`)
    return own.name === from
      ? withTrack(draft, id, { ...own, name: to })
      : changed('The track’s name', own.name)
  },
  check: (checker, _, { track, to }) =>
    void checker.check(trackShape.pick(['name']), { name: to }, at('tracks', track)),
  say: (_library, _draft, { from, to }) => `Track ${from} → ${to}`,
  inverse: swapped,
  renew: fromNow(({ tracks }, { track }) => tracks[track]?.name),
})
