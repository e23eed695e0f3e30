import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector } from 'react-redux'
import { library } from '../features/library/librarySlice.ts'
import { editor } from '../features/templates/editorSlice.ts'
import { placeReducer } from '../features/training/placeSlice.ts'
import { outbox } from '../offline/outboxSlice.ts'
import { api } from './api.ts'

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    editor: editor.reducer,
    library: library.reducer,
    outbox: outbox.reducer,
    place: placeReducer,
  },
  middleware: (defaults) =>
    // The draft is large and only its own reducer touches it: the development checks would cost more than an edit.
    defaults({
      immutableCheck: { ignoredPaths: ['editor', 'api'] },
      serializableCheck: { ignoredPaths: ['editor', 'api'], ignoredActionPaths: ['payload', 'meta'] },
    }).concat(api.middleware),
})

// A phone that comes back to the page, or into signal, reads its sessions anew.
setupListeners(store.dispatch)

export type RootState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()
