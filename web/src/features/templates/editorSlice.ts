import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Edits } from '@young-oak/api/templates'
import { applyCommand, invert, isConflict, type Command, type Template } from '@young-oak/core/template'

export type Edit = Edits['edits'][number]

/** The draft that is open, what can be taken back, and what has not been saved yet. */
export type Editor = {
  id: string | null
  draft: Template | null
  done: Command[]
  undone: Command[]
  waiting: Edit[]
  isAway: boolean
  /** Why the last undo, or another writer's edit, could not be joined with this draft. */
  notice: string | null
}

const empty: Editor = {
  id: null,
  draft: null,
  done: [],
  undone: [],
  waiting: [],
  isAway: false,
  notice: null,
}

export const editor = createSlice({
  name: 'editor',
  initialState: empty,
  reducers: {
    openDraft: (_state, { payload }: PayloadAction<{ id: string; draft: Template; notice?: string }>) => ({
      ...empty,
      id: payload.id,
      draft: payload.draft,
      notice: payload.notice ?? null,
    }),
    closeDraft: () => empty,
    edit: {
      prepare: (command: Command) => ({ payload: { id: crypto.randomUUID(), command } }),
      reducer: (state, { payload }: PayloadAction<Edit>) =>
        apply(
          state as Editor,
          payload,
          (done) => [...done, payload.command],
          () => [],
        ),
    },
    undo: {
      prepare: () => ({ payload: crypto.randomUUID() as string }),
      reducer(state, { payload }: PayloadAction<string>) {
        const last = state.done[state.done.length - 1] as Command | undefined
        if (!last) return state
        return apply(
          state as Editor,
          { id: payload, command: invert(last) },
          (done) => done.slice(0, -1),
          (undone) => [...undone, last],
        )
      },
    },
    redo: {
      prepare: () => ({ payload: crypto.randomUUID() as string }),
      reducer(state, { payload }: PayloadAction<string>) {
        const last = state.undone[state.undone.length - 1] as Command | undefined
        if (!last) return state
        return apply(
          state as Editor,
          { id: payload, command: last },
          (done) => [...done, last],
          (undone) => undone.slice(0, -1),
        )
      },
    },
    saved: (state, { payload }: PayloadAction<string[]>) => ({
      ...(state as Editor),
      waiting: (state as Editor).waiting.filter(({ id }) => !payload.includes(id)),
      isAway: false,
    }),
    setAway: (state, { payload }: PayloadAction<boolean>) => ({ ...(state as Editor), isAway: payload }),
    dismissNotice: (state) => ({ ...(state as Editor), notice: null }),
  },
})

export const { openDraft, closeDraft, edit, undo, redo, saved, setAway, dismissNotice } = editor.actions

/** Applies a command to the draft at once and puts it in line to be saved; where it no longer fits, says so instead. */
function apply(
  state: Editor,
  next: Edit,
  done: (list: Command[]) => Command[],
  undone: (list: Command[]) => Command[],
): Editor {
  if (!state.draft) return state
  const draft = applyCommand(state.draft, next.command)
  if (isConflict(draft)) return { ...state, notice: draft.conflict }
  return {
    ...state,
    draft,
    done: done(state.done),
    undone: undone(state.undone),
    waiting: [...state.waiting, next],
    notice: null,
  }
}
