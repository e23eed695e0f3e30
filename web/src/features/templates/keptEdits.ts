import { commandNames } from '@young-oak/core/template'
import type { Edit } from './editorSlice.ts'

// Edits that are not stored yet, kept by the browser so that a closed page loses none. They belong to one seat and one template.

const keyOf = (seat: string, template: string) => `young-oak/edits/${seat}/${template}`

export function keepEdits(seat: string, template: string, edits: Edit[]): void {
  try {
    if (edits.length) localStorage.setItem(keyOf(seat, template), JSON.stringify(edits))
    else localStorage.removeItem(keyOf(seat, template))
  } catch {
    // No room: the edits are still in the page, which asks before it is left.
  }
}

export function keptEdits(seat: string, template: string): Edit[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(seat, template)) ?? '[]')
    return Array.isArray(kept) ? kept.filter(isEdit) : []
  } catch {
    return []
  }
}

/** What another version kept may be no edit of this one: it would be refused, and must not keep the page from opening. */
function isEdit(value: unknown): value is Edit {
  const { id, command } = (value ?? {}) as Partial<Edit>
  return typeof id === 'string' && commandNames.includes((command as Edit['command'] | undefined)?.do ?? '')
}
