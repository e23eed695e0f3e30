import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { operationFormat, upgradeOperation } from '@young-oak/api/operations'
import type { Operation, OperationAnswer } from '@young-oak/api/training'

/** What this phone did and has not been told is stored. It belongs to one seat and is never sent by another. */
export type Outbox = {
  seat: string | null
  operations: Operation[]
  refused: { operation: Operation; reason: string }[]
  isAway: boolean
}

const bothKept =
  'the set was logged on another device too. Both entries are kept; open the set and correct it if the wrong entry counts.'

const empty: Outbox = { seat: null, operations: [], refused: [], isAway: false }

export const outbox = createSlice({
  name: 'outbox',
  initialState: empty,
  reducers: {
    openOutbox: (_state, { payload }: PayloadAction<string>) => ({
      ...empty,
      ...readKept(payload),
      seat: payload,
    }),
    addOperation(state, { payload }: PayloadAction<Operation>) {
      state.operations.push(payload)
    },
    /** Takes away what was answered; what was refused or doubled is set aside, in sight, and blocks nothing. */
    takeAnswers(state, { payload }: PayloadAction<OperationAnswer[]>) {
      state.isAway = false
      for (const answer of payload) {
        const at = state.operations.findIndex(({ id }) => id === answer.id)
        const operation = state.operations[at]
        if (!operation) continue
        state.operations.splice(at, 1)
        if (answer.result === 'refused') state.refused.push({ operation, reason: answer.reason })
        if (answer.result === 'conflict') state.refused.push({ operation, reason: bothKept })
      }
    },
    setAway(state, { payload }: PayloadAction<boolean>) {
      state.isAway = payload
    },
    dropRefused(state, { payload }: PayloadAction<string>) {
      state.refused = state.refused.filter(({ operation }) => operation.id !== payload)
    },
    clearOutbox: () => empty,
  },
})

export const { openOutbox, addOperation, takeAnswers, setAway, dropRefused, clearOutbox } = outbox.actions

const keyOf = (seat: string) => `young-oak-outbox:${seat}`

/** Keeps the outbox on the phone, so that a closed page or a flat battery loses nothing. */
export function keep({ seat, operations, refused }: Outbox): void {
  if (!seat) return
  if (operations.length || refused.length)
    localStorage.setItem(keyOf(seat), JSON.stringify({ format: operationFormat, operations, refused }))
  else localStorage.removeItem(keyOf(seat))
}

/** Builds of the first format said no number. */
type KeptOutbox = Partial<Pick<Outbox, 'operations' | 'refused'>> & { format?: number }

function readKept(seat: string): Partial<Outbox> {
  try {
    const { format = 1, ...kept } = JSON.parse(localStorage.getItem(keyOf(seat)) ?? '{}') as KeptOutbox
    const today = (operation: Operation) => upgradeOperation(operation, format) as Operation
    return {
      operations: (kept.operations ?? []).map(today),
      refused: (kept.refused ?? []).map((one) => ({ ...one, operation: today(one.operation) })),
    }
  } catch {
    return {}
  }
}
