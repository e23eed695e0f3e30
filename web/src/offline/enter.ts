import type { Operation, OperationAnswer } from '@young-oak/api/training'
import { api, fieldErrors, sayError } from '../app/api.ts'
import { store } from '../app/store.ts'
import { addOperation, type Without } from './outboxSlice.ts'

/** What a member enters beside their sets. */
export type OwnEntry = Without<Extract<Operation, { kind: 'fact' | 'takeBack' | 'max' | 'bodyWeight' }>>

/** What came of it: it is stored, it waits on this phone for signal, or the server would not take it, with the faults by field. */
export type Entered =
  | { result: 'stored' }
  | { result: 'waits' }
  | { result: 'refused'; reason: string; errors: Record<string, string> }

/** What is said of an entry that waits. */
export const waitsWords = 'No signal: kept on this phone, and sent when there is signal.'

/** Enters something of the member's own, under ids that are made here: sent again after an answer that was lost, it is one. */
export async function enter(entry: OwnEntry): Promise<Entered> {
  const operation = { ...entry, id: crypto.randomUUID() } as Operation
  const sent = await store.dispatch(api.endpoints.sendOperations.initiate([operation]))
  if (sent.error) {
    if (isFault(sent.error)) return { result: 'refused', reason: sayError(sent.error), errors: {} }
    store.dispatch(addOperation(operation))
    return { result: 'waits' }
  }
  store.dispatch(api.util.invalidateTags(['Training']))
  return enteredBy(sent.data.answers[0])
}

function enteredBy(answer: OperationAnswer | undefined): Entered {
  if (answer?.result !== 'refused') return { result: 'stored' }
  const errors = Object.fromEntries((answer.errors ?? []).map(({ path, message }) => [path, message]))
  return { result: 'refused', reason: answer.reason, errors }
}

/** The same of what a writer enters for a member, which is sent at once or not at all. */
export const enteredFor = ({ error }: { error?: unknown }): Entered =>
  error ? { result: 'refused', reason: sayError(error), errors: fieldErrors(error) } : { result: 'stored' }

/** Whether it would be refused again; not where nobody answered, or nobody or somebody else is signed in. */
function isFault(error: unknown): boolean {
  const { status } = error as { status?: unknown }
  return typeof status === 'number' && status >= 400 && status < 500 && status !== 401 && status !== 409
}
