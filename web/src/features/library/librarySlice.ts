import { createSlice, type Dispatch, type PayloadAction } from '@reduxjs/toolkit'
import type { LibraryView } from '@young-oak/api/exercises'
import { knowExercises, openShelf, type OwnId } from '@young-oak/core/library'

/** The exercises of the gym that is signed in to, as they were read last. */
export const library = createSlice({
  name: 'library',
  initialState: { mark: '', exercises: {} } as LibraryView,
  reducers: { opened: (_, { payload }: PayloadAction<LibraryView>) => payload },
})

/** Makes the gym's exercises known to this page, and puts them among those that are found by name. */
export function openLibrary(dispatch: Dispatch, view: LibraryView): void {
  knowExercises(view.exercises)
  openShelf(Object.keys(view.exercises) as OwnId[])
  dispatch(library.actions.opened(view))
}
