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
  note: '',
  begins: 'week',
  clock: countsBack(draft) ? 'calendar' : 'own',
  track: 'keep',
  choosesTrack: false,
  opens: 'all',
  others: 'beside',
})

/** What is sent beside id and revision: no track where everybody keeps theirs, null where nobody has one. */
export const publishOf = ({
  track,
  begins,
  choosesTrack,
  opens,
  ...rest
}: Publication): Omit<Publish, 'id' | 'revision'> => ({
  ...rest,
  ...(choosesTrack && { choosesTrack }),
  ...(opens !== 'all' && { opens: Number(opens) }),
  ...(begins === 'again' ? { again: true } : { begins }),
  ...(track !== 'keep' && { track: track || null }),
})
