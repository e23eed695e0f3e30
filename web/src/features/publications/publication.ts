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
 * What is sent beside id and revision: no track where everybody keeps theirs, null where nobody has one; days of their own of those who are chosen.
 */
export const publishOf = ({
  track,
  begins,
  choosesTrack,
  opens,
  onUsualDay,
  ownStarts,
  carry,
  members,
  ...rest
}: Publication): Omit<Publish, 'id' | 'revision'> => ({
  ...rest,
  members,
  ...startsOf({ onUsualDay, ownStarts, members }),
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
