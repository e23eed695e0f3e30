import { combineSlices, configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector, useStore } from 'react-redux'
import { library } from '../features/library/librarySlice.ts'
import type { Editor } from '../features/templates/editorSlice.ts'
import { locationReducer } from '../features/training/locationSlice.ts'
import { outbox } from '../offline/outboxSlice.ts'
import { api } from './api.ts'

/** What every page has. The workbench brings its own part with it (`bringEditor`), so that a phone never loads that. */
export const rootReducer = combineSlices({
  [api.reducerPath]: api.reducer,
  library: library.reducer,
  outbox: outbox.reducer,
  location: locationReducer,
}).withLazyLoadedSlices<{ editor: Editor }>()

const made = configureStore({
  reducer: rootReducer,
  middleware: (defaults) =>
    // The draft is large and only its own reducer touches it: the development checks would cost more than an edit.
    defaults({
      immutableCheck: { ignoredPaths: ['editor', 'api'] },
      serializableCheck: { ignoredPaths: ['editor', 'api'], ignoredActionPaths: ['payload', 'meta'] },
    }).concat(api.middleware),
})

/** The editor's part is there for the workbench, which brings it, and is read by no other page. */
export type RootState = Required<ReturnType<typeof made.getState>>
export const store = made as Omit<typeof made, 'getState'> & { getState(): RootState }

// A phone that comes back to the page, or into signal, reads its sessions anew.
setupListeners(store.dispatch)

export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppStore = useStore.withTypes<typeof store>()
export const useAppSelector = useSelector.withTypes<RootState>()
