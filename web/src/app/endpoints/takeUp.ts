import type { Dispatch } from '@reduxjs/toolkit'
import type { LibraryView } from '@young-oak/api/exercises'
import { openLibrary } from '../../features/library/librarySlice.ts'

/** A write whose answer is the library as it is then. */
export const takeUp = async (
  _: unknown,
  { dispatch, queryFulfilled }: { dispatch: Dispatch; queryFulfilled: Promise<{ data: LibraryView }> },
): Promise<void> => {
  const answer = await queryFulfilled.catch(() => null)
  if (answer) openLibrary(dispatch, answer.data)
}
