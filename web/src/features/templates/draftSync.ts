import type { EditsAnswer } from '@young-oak/api/templates'
import type { Edit, Editor } from './editorSlice.ts'

type Draft = Pick<Editor, 'id' | 'waiting' | 'revision'>
type Hands = {
  /** The draft as the page has it now. */
  now(): Draft
  send(since: number, edits: Edit[]): Promise<{ data?: EditsAnswer; error?: unknown }>
  merge(answer: EditsAnswer): void
  away(): void
}

/** The most edits that are sent at once. */
export const mostAtOnce = 200

/**
 * Sends what waits of one draft, and takes in what was done elsewhere. One call is on its way at a time; what is not answered waits
 * and is sent again. An answer that comes when another draft is open is left: what it answers is in the server and comes again as "had". Says
 * whether there is something for other tabs to take in.
 */
export function draftSync(id: string, { now, send, merge, away }: Hands): () => Promise<boolean> {
  let isSending = false
  return async () => {
    if (isSending) return false
    isSending = true
    const { waiting, revision } = now()
    const edits = waiting.slice(0, mostAtOnce)
    const { data, error } = await send(revision, edits).finally(() => (isSending = false))
    if (now().id !== id) return false
    if (data) {
      if (edits.length || data.revision !== revision) merge(data)
      return edits.length > 0
    }
    if (edits.length && error) away()
    return false
  }
}
