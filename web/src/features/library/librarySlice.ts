import { createSlice, type Dispatch, type PayloadAction } from '@reduxjs/toolkit'
import type { LibraryView } from '@young-oak/api/exercises'

/** The exercises of the gym that is signed in to, as they were read last. */
export const library = createSlice({
  name: 'library',
  initialState: { mark: '', exercises: {} } as LibraryView,
  reducers: { opened: (_, { payload }: PayloadAction<LibraryView>) => payload },
})

/** Makes the gym's exercises known to this page. */
export const openLibrary = (dispatch: Dispatch, view: LibraryView): unknown =>
  dispatch(library.actions.opened(view))
