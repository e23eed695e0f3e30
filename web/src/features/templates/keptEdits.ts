import type { Edit } from '@young-oak/api/templates'
import { commandFormat, isCommand, upgradeCommand } from '@young-oak/core/template'
import type { Aside } from './editorSlice.ts'

// Edits that are not stored yet, and those that were set aside, kept by the browser so that a closed page loses none. They belong to one
// seat and one template, and say the format that they are written in.

type Kept = { waiting: Edit[]; aside: Aside[] }

const keyOf = (seat: string, template: string) => `young-oak/edits/${seat}/${template}`

export function keepEdits(seat: string, template: string, { waiting, aside }: Kept): void {
  try {
    if (waiting.length || aside.length) {
      const kept = JSON.stringify({ format: commandFormat, waiting, aside })
      localStorage.setItem(keyOf(seat, template), kept)
    } else localStorage.removeItem(keyOf(seat, template))
  } catch {
    // No room: the edits are still in the page, which asks before it is left.
  }
}

/** What was kept, in today's format, by this build or an earlier one. What this build cannot read is set aside, in sight. */
export function keptEdits(seat: string, template: string): Kept {
  const text = textKept(keyOf(seat, template))
  if (text === null) return { waiting: [], aside: [] }
  const { format, waiting, aside } = readKept(text)
  const edits = waiting.map((one) => upgradeEdit(one, format))
  return {
    waiting: edits.filter(isEdit),
    aside: [
      ...aside.map((one) => asideNow(one, format)),
      ...edits.flatMap((one, i) => (isEdit(one) ? [] : [unread(JSON.stringify(one), i)])),
    ],
  }
}

function textKept(key: string): string | null {
  try {
    return localStorage.getItem(key)
  } catch {
    // A browser that keeps nothing has kept nothing.
    return null
  }
}

/** The first builds kept a bare list, without the number of its format. */
function readKept(text: string): { format: number; waiting: unknown[]; aside: unknown[] } {
  try {
    const kept: unknown = JSON.parse(text)
    if (Array.isArray(kept)) return { format: 1, waiting: kept, aside: [] }
    const { format, waiting, aside } = (kept ?? {}) as Record<string, unknown>
    if (typeof format === 'number' && Array.isArray(waiting) && Array.isArray(aside))
      return { format, waiting, aside }
  } catch {
    // It is shown as it is.
  }
  return { format: commandFormat, waiting: [text], aside: [] }
}

const upgradeEdit = (edit: unknown, format: number): unknown =>
  typeof edit === 'object' && edit !== null && 'command' in edit
    ? { ...edit, command: upgradeCommand(edit.command, format) }
    : edit

function isEdit(value: unknown): value is Edit {
  const { id, command } = (value ?? {}) as Partial<Edit>
  return typeof id === 'string' && isCommand(command)
}

function asideNow(one: unknown, format: number): Aside {
  const known = upgradeEdit(one, format) as Partial<Aside> | null
  const isWhole =
    typeof known?.id === 'string' && typeof known.name === 'string' && typeof known.reason === 'string'
  if (isWhole && (isCommand(known.command) || typeof known.says === 'string')) return known as Aside
  return unread(JSON.stringify(one), 0)
}

const unread = (says: string, index: number): Aside => ({
  id: `unread-${index}-${says.length}`,
  name: 'An edit from another version of this page',
  reason: 'This version cannot read the edit.',
  says,
})
