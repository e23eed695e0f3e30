import type { Publication } from '@young-oak/api/forms/publication'
import type { Publish } from '@young-oak/api/publications'
import type { Template } from '@young-oak/core/template'
import { nextMonday, today } from '../../app/today.ts'

/** Weeks that count back from a test day are on dates for everybody. */
export const countsBack = (draft: Template): boolean => draft.phases.some(({ ends }) => ends)

/** To nobody yet; from Monday on where it is new, from today on where members run it. */
export const newPublication = (draft: Template, isPublished: boolean): Publication => ({
  members: [],
  start: isPublished ? today() : nextMonday(today()),
  onUsualDay: false,
  ownStarts: [],
  ownTracks: [],
  note: '',
  begins: 'week',
  clock: countsBack(draft) ? 'calendar' : 'own',
  track: 'keep',
  choosesTrack: false,
  opens: 'all',
  others: 'beside',
  carry: false,
})

/**
 * What is sent beside id and revision: no track where everybody keeps theirs, null where nobody has one; days and tracks of their own of those who are
 * chosen.
 */
export const publishOf = ({
  track,
  begins,
  choosesTrack,
  opens,
  onUsualDay,
  ownStarts,
  ownTracks,
  carry,
  members,
  ...rest
}: Publication): Omit<Publish, 'id' | 'revision'> => ({
  ...rest,
  members,
  ...startsOf({ onUsualDay, ownStarts, members }),
  ...tracksOf({ ownTracks, members }),
  ...(carry && { carry }),
  ...(choosesTrack && { choosesTrack }),
  ...(opens !== 'all' && { opens: Number(opens) }),
  ...(begins === 'again' ? { again: true } : { begins }),
  ...(track !== 'keep' && { track: track || null }),
})

function startsOf({
  onUsualDay,
  ownStarts,
  members,
}: Pick<Publication, 'onUsualDay' | 'ownStarts' | 'members'>): Pick<Publish, 'onUsualDay' | 'ownStarts'> {
  const chosen = new Set(members)
  const own = ownStarts.filter(({ member }) => chosen.has(member))
  return { ...(onUsualDay && { onUsualDay }), ...(own.length && { ownStarts: own }) }
}

function tracksOf({
  ownTracks,
  members,
}: Pick<Publication, 'ownTracks' | 'members'>): Pick<Publish, 'ownTracks'> {
  const own = chosenOn(ownTracks, members).map(({ track, members: on }) => ({
    track: track || null,
    members: on,
  }))
  return own.length ? { ownTracks: own } : {}
}

/** Tracks given by hand, of those who are chosen. */
export function chosenOn(
  tracks: Publication['ownTracks'],
  members: readonly string[],
): Publication['ownTracks'] {
  const chosen = new Set(members)
  return tracks
    .map((one) => ({ ...one, members: one.members.filter((member) => chosen.has(member)) }))
    .filter((one) => one.members.length)
}

/** Without tracks given by hand that the draft no longer has. */
export const onTracksOf = ({ tracks }: Template, publication: Publication): Publication => ({
  ...publication,
  ownTracks: publication.ownTracks.filter(({ track }) => !track || tracks[track]),
})

/** The same with some members put on another track, or on none by hand. */
export function putOn(
  tracks: Publication['ownTracks'],
  members: readonly string[],
  track: string | null,
): Publication['ownTracks'] {
  const moved = new Set(members)
  const others = tracks.map((one) => ({
    ...one,
    members: one.members.filter((member) => !moved.has(member)),
  }))
  const had = others.find((one) => one.track === track)
  if (track !== null && !had) others.push({ track, members: [...members] })
  else had?.members.push(...members)
  return others.filter((one) => one.members.length)
}
