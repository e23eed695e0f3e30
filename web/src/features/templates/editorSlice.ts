import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Edits } from '@young-oak/api/templates'
import {
  applyCommand,
  invert,
  isConflict,
  sayCommand,
  type Command,
  type Template,
} from '@young-oak/core/template'

export type Edit = Edits['edits'][number]

/** Something done, with its name, so that it can be taken back by it. */
export type Step = { name: string; command: Command }

/** The draft that is open, what can be taken back, and what has not been saved yet. */
export type Editor = {
  id: string | null
  draft: Template | null
  done: Step[]
  undone: Step[]
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
          (done, step) => [...done, step],
          () => [],
        ),
    },
    undo: {
      prepare: () => ({ payload: crypto.randomUUID() as string }),
      reducer(state, { payload }: PayloadAction<string>) {
        const last = state.done[state.done.length - 1] as Step | undefined
        if (!last) return state
        return apply(
          state as Editor,
          { id: payload, command: invert(last.command) },
          (done) => done.slice(0, -1),
          (undone) => [...undone, last],
        )
      },
    },
    redo: {
      prepare: () => ({ payload: crypto.randomUUID() as string }),
      reducer(state, { payload }: PayloadAction<string>) {
        const last = state.undone[state.undone.length - 1] as Step | undefined
        if (!last) return state
        return apply(
          state as Editor,
          { id: payload, command: last.command },
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
  done: (list: Step[], step: Step) => Step[],
  undone: (list: Step[]) => Step[],
): Editor {
  if (!state.draft) return state
  const draft = applyCommand(state.draft, next.command)
  if (isConflict(draft)) return { ...state, notice: draft.conflict }
  return {
    ...state,
    draft,
    done: done(state.done, { name: sayCommand(state.draft, next.command), command: next.command }),
    undone: undone(state.undone),
    waiting: [...state.waiting, next],
    notice: null,
  }
}
