import { rootReducer, store } from '../../app/store.ts'
import { editor } from './editorSlice.ts'

// Puts the draft's part into the store; a first action fills it in.
rootReducer.inject(editor)
store.dispatch({ type: `${editor.name}/brought` })
