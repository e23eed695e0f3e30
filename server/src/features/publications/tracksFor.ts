import type { TrackRule } from '@young-oak/api/publications'
import type { Scope } from '../../database/scope.ts'
import { whoFits } from '../groups/store.ts'

/** The track of each of these members who fits one of the rules: the first that they fit, as things stand today. */
export async function tracksFor(
  scope: Scope,
  members: string[],
  rules: readonly TrackRule[] = [],
): Promise<Map<string, string | null>> {
  const tracks = new Map<string, string | null>()
  for (const { rule, track } of rules) {
    const left = members.filter((member) => !tracks.has(member))
    for (const member of await whoFits(scope, rule, left)) tracks.set(member, track)
  }
  return tracks
}
