import type { Id } from '../../parsing/index.ts'
import type { Template, Track } from '../types.ts'

export const withTrack = (draft: Template, id: Id, track: Track): Template => ({
  ...draft,
  tracks: { ...draft.tracks, [id]: track },
})
