import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Operation, OperationAnswer } from '@young-oak/api/training'
import type { Entry } from './kept.ts'

/** An operation before it has its id. */
export type Without<T> = T extends unknown ? Omit<T, 'id'> : never

/** Why nothing is sent at the moment: no answer, nobody signed in any more, or somebody else. */
export type Trouble = 'away' | 'signedOut' | 'otherSeat'

/** What this phone did and has not been told is stored. It belongs to one seat and is never sent by another. */
export type Outbox = {
  seat: string | null
  operations: Operation[]
  refused: { operation: Operation; reason: string }[]
  trouble: Trouble | null
  /** The phone has no room to keep all of it while the page is closed. */
  isFull: boolean
  /** Entries that were kept and could not be read; they are set aside. */
  unread: number
}

const bothKept =
  'the set was logged on another device too. Both entries are kept; open the set and correct it if the wrong entry counts.'

const empty: Outbox = { seat: null, operations: [], refused: [], trouble: null, isFull: false, unread: 0 }

export const outbox = createSlice({
  name: 'outbox',
  initialState: empty,
  reducers: {
    openOutbox(_state, { payload }: PayloadAction<{ seat: string; entries: Entry[]; unread: number }>) {
      const { seat, entries, unread } = payload
      const made: Outbox = { ...empty, seat, unread, operations: [], refused: [] }
      for (const entry of entries) put(made, entry)
      return made
    },
    addOperation(state, { payload }: PayloadAction<Operation>) {
      state.operations.push(payload)
    },
    /** What another tab of the same person has added, or has had answered. */
    takeChange(state, { payload: { id, entry } }: PayloadAction<{ id: string; entry: Entry | null }>) {
      state.operations = state.operations.filter((one) => one.id !== id)
      state.refused = state.refused.filter(({ operation }) => operation.id !== id)
      if (entry) put(state, entry)
    },
    /** Takes away what was answered; what was refused or doubled is set aside, in sight, and blocks nothing. */
    takeAnswers(state, { payload }: PayloadAction<OperationAnswer[]>) {
      state.trouble = null
      for (const answer of payload) {
        const at = state.operations.findIndex(({ id }) => id === answer.id)
        const operation = state.operations[at]
        if (!operation) continue
        state.operations.splice(at, 1)
        if (answer.result === 'refused') state.refused.push({ operation, reason: answer.reason })
        if (answer.result === 'conflict') state.refused.push({ operation, reason: bothKept })
      }
    },
    setTrouble(state, { payload }: PayloadAction<Trouble>) {
      state.trouble = payload
    },
    setFull(state, { payload }: PayloadAction<boolean>) {
      state.isFull = payload
    },
    dropRefused(state, { payload }: PayloadAction<string>) {
      state.refused = state.refused.filter(({ operation }) => operation.id !== payload)
    },
    dropUnread(state) {
      state.unread = 0
    },
    closeOutbox: () => empty,
  },
})

function put(state: Outbox, { operation, reason }: Entry): void {
  if (reason === undefined) state.operations.push(operation)
  else state.refused.push({ operation, reason })
}

export const {
  openOutbox,
  addOperation,
  takeChange,
  takeAnswers,
  setTrouble,
  setFull,
  dropRefused,
  dropUnread,
  closeOutbox,
} = outbox.actions

/** Entries as they are kept, by id. */
export const entriesOf = ({ operations, refused }: Outbox): Map<string, Entry> =>
  new Map<string, Entry>([
    ...operations.map((operation) => [operation.id, { operation }] as const),
    ...refused.map((one) => [one.operation.id, one] as const),
  ])
