import type { Publish } from '@young-oak/api/publications'
import type { Scope } from '../../database/scope.ts'
import { whoFits } from '../groups/store.ts'

/** The track of each of these members who was put on one by hand, or fits one of the rules: the first that they fit, as things stand today. */
export async function tracksFor(
  scope: Scope,
  members: string[],
  { ownTracks = [], tracksByRule = [] }: Pick<Publish, 'ownTracks' | 'tracksByRule'>,
): Promise<Map<string, string | null>> {
  const tracks = new Map<string, string | null>()
  const asked = new Set(members)
  for (const { track, members: own } of ownTracks)
    for (const member of own) if (asked.has(member)) tracks.set(member, track)
  for (const { rule, track } of tracksByRule) {
    const left = members.filter((member) => !tracks.has(member))
    for (const member of await whoFits(scope, rule, left)) tracks.set(member, track)
  }
  return tracks
}
