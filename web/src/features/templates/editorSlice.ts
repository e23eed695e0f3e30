import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Edit, EditsAnswer } from '@young-oak/api/templates'
import type { Library } from '@young-oak/core/library'
import { library } from '../library/librarySlice.ts'
import {
  applyCommand,
  invert,
  isConflict,
  renewCommand,
  sayCommand,
  type Command,
  type Template,
} from '@young-oak/core/template'

export type { Edit }

/** Something done, with its name, so that it can be taken back by it. */
export type Step = { name: string; command: Command }

/**
 * An edit that could not be joined with what somebody else has done since: kept in sight, with the reason. One that this version of the
 * page does not know has no command, but what it says.
 */
export type Aside = { id: string; name: string; reason: string } & (
  { command: Command; says?: undefined } | { command?: undefined; says: string }
)

/**
 * The draft that is open: what is stored of it (`base`, at a revision) with the edits that wait to be stored on top. Beside it what can
 * be taken back, and what could not be joined.
 */
export type Editor = {
  /** The exercises that what is said of the draft may name. */
  library: Library
  id: string | null
  revision: number
  base: Template | null
  draft: Template | null
  /** The command that made this draft of the one before; null where it came otherwise. */
  made: Command | null
  done: Step[]
  undone: Step[]
  waiting: Edit[]
  aside: Aside[]
  isAway: boolean
  /** Why the last undo could not be done, or what others have changed. */
  notice: string | null
}

const empty: Editor = {
  library: {},
  id: null,
  revision: 0,
  base: null,
  draft: null,
  made: null,
  done: [],
  undone: [],
  waiting: [],
  aside: [],
  isAway: false,
  notice: null,
}

export type Opened = {
  id: string
  revision: number
  draft: Template
  library: Library
  waiting?: Edit[]
  aside?: Aside[]
}

export const editor = createSlice({
  name: 'editor',
  initialState: empty,
  reducers: {
    /** Opens a draft, with edits on top that were kept here and not stored yet. */
    openDraft: (_state, { payload }: PayloadAction<Opened>) =>
      rebased({
        ...empty,
        library: payload.library,
        id: payload.id,
        revision: payload.revision,
        base: payload.draft,
        waiting: payload.waiting ?? [],
        aside: payload.aside ?? [],
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
    merge: (state, { payload }: PayloadAction<EditsAnswer>) => merged(state as Editor, payload),
    /** Puts what was set aside in over what stands now. */
    putIn: {
      prepare: (aside: string) => ({ payload: { aside, id: crypto.randomUUID() as string } }),
      reducer(state, { payload }: PayloadAction<{ aside: string; id: string }>) {
        const now = state as Editor
        const one = now.aside.find(({ id }) => id === payload.aside)
        const command = one?.command && now.draft && renewCommand(now.draft, one.command)
        if (!command)
          return { ...now, notice: 'The exercise of this edit is gone, so the edit cannot be applied.' }
        const rest = { ...now, aside: now.aside.filter(({ id }) => id !== payload.aside) }
        return apply(
          rest,
          { id: payload.id, command },
          (done, step) => [...done, step],
          () => [],
        )
      },
    },
    leaveAside: (state, { payload }: PayloadAction<string>) => ({
      ...(state as Editor),
      aside: (state as Editor).aside.filter(({ id }) => id !== payload),
    }),
    setAway: (state, { payload }: PayloadAction<boolean>) => ({ ...(state as Editor), isAway: payload }),
    dismissNotice: (state) => ({ ...(state as Editor), notice: null }),
  },
  extraReducers: (builder) =>
    builder.addCase(library.actions.opened, (state, { payload }) => ({
      ...(state as Editor),
      library: payload.exercises,
    })),
})

export const { openDraft, closeDraft, edit, undo, redo, merge, putIn, leaveAside, setAway, dismissNotice } =
  editor.actions

/** Applies a command to the draft at once and puts it in line to be saved; where it no longer fits, says so instead. */
function apply(
  state: Editor,
  next: Edit,
  done: (list: Step[], step: Step) => Step[],
  undone: (list: Step[]) => Step[],
): Editor {
  if (!state.draft) return state
  const draft = applyCommand(state.draft, next.command)
  if (isConflict(draft)) return { ...state, notice: draft.conflict(state.library) }
  return {
    ...state,
    draft,
    made: next.command,
    done: done(state.done, {
      name: sayCommand(state.library, state.draft, next.command),
      command: next.command,
    }),
    undone: undone(state.undone),
    waiting: [...state.waiting, next],
    notice: null,
  }
}

/** The draft once more: what is stored, with what waits on top; what no longer fits there is set aside. */
function rebased(state: Editor): Editor {
  if (!state.base) return state
  let draft = state.base
  const waiting: Edit[] = []
  const aside = [...state.aside]
  for (const one of state.waiting) {
    const next = applyCommand(draft, one.command)
    if (isConflict(next))
      aside.push({
        id: one.id,
        name: sayCommand(state.library, draft, one.command),
        command: one.command,
        reason: next.conflict(state.library),
      })
    else {
      draft = next
      waiting.push(one)
    }
  }
  return { ...state, draft, made: null, waiting, aside }
}

/** Joins what the server says: what of ours is stored, what is not and why, and what others have done since. */
function merged(state: Editor, { revision, answers, edits, draft: whole }: EditsAnswer): Editor {
  if (!state.base || revision < state.revision) return { ...state, isAway: false }
  const answered = new Map(answers.map((answer) => [answer.id, answer]))
  const mine = new Set(state.waiting.map(({ id }) => id))
  const theirs = edits.filter(({ id }) => !mine.has(id))
  const failed = state.waiting.flatMap((one): Aside[] => {
    const answer = answered.get(one.id)
    if (answer?.result !== 'conflict' && answer?.result !== 'refused') return []
    return [
      {
        id: one.id,
        name: state.draft ? sayCommand(state.library, state.draft, one.command) : '',
        command: one.command,
        reason: answer.message,
      },
    ]
  })
  const waiting = state.waiting.filter(({ id }) => !answered.has(id))
  const next = { ...state, revision, waiting, isAway: false }
  const base = whole ?? stored(state.base, edits)
  // Only ours, and all of it stored in its order: the draft is what it was.
  if (!theirs.length && !failed.length && !whole) return { ...next, base }
  const joined = rebased({ ...next, base, aside: [...state.aside, ...failed] })
  const others = theirs.length
    ? `${theirs.length === 1 ? 'A change' : `${theirs.length} changes`} made elsewhere received.`
    : state.notice
  return { ...joined, notice: others }
}

function stored(base: Template, edits: EditsAnswer['edits']): Template {
  return edits.reduce((draft, { command }) => {
    const next = applyCommand(draft, command)
    return isConflict(next) ? draft : next
  }, base)
}
