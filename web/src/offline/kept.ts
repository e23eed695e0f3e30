import { operationFormat, upgradeOperation } from '@young-oak/api/operations'
import type { Operation } from '@young-oak/api/training'

// What waits is kept on the phone, each entry under a key of its own: two tabs of one person never write over each other's.

/** An entry as it waits; with a reason where the server would not take it. */
export type Entry = { operation: Operation; reason?: string }
type Kept = { format: number; at: number; operation: unknown; reason?: string }

const prefix = (seat: string) => `young-oak-outbox:${seat}`
const keyOf = (seat: string, id: string) => `${prefix(seat)}:${id}`

/** Everything that is kept for a seat, oldest first. What cannot be read is set aside under another key, and counted. */
export function readKept(seat: string): { entries: Entry[]; unread: number } {
  const found: (Entry & { at: number })[] = []
  let unread = 0
  for (const key of keysOf(seat)) {
    const text = localStorage.getItem(key) ?? ''
    try {
      found.push(...(key === prefix(seat) ? fromOneBox(text) : [parse(text)]))
    } catch {
      unread++
      setAside(key, text)
    }
  }
  // The one box of an earlier build goes once all of it is kept by itself.
  if (localStorage.getItem(prefix(seat)) !== null && keepEntries(seat, found)) forget(prefix(seat))
  const entries = new Map(
    found.sort((a, b) => a.at - b.at).map(({ at: _, ...entry }) => [entry.operation.id, entry]),
  )
  return { entries: [...entries.values()], unread }
}

/** The entry of a key that changed in another tab; null where it was taken away there. */
export function changedEntry(
  seat: string,
  { key, newValue }: Pick<StorageEvent, 'key' | 'newValue'>,
): { id: string; entry: Entry | null } | undefined {
  if (!key?.startsWith(`${prefix(seat)}:`)) return undefined
  const id = key.slice(prefix(seat).length + 1)
  if (newValue === null) return { id, entry: null }
  try {
    const { at: _, ...entry } = parse(newValue)
    return { id, entry }
  } catch {
    return undefined
  }
}

/** Keeps entries, and says whether there was room for all. */
export function keepEntries(seat: string, entries: (Entry & { at?: number })[]): boolean {
  try {
    const now = Date.now()
    for (const [i, { at = now + i / 1000, operation, reason }] of entries.entries()) {
      const kept: Kept = { format: operationFormat, at, operation, ...(reason !== undefined && { reason }) }
      localStorage.setItem(keyOf(seat, operation.id), JSON.stringify(kept))
    }
    return true
  } catch {
    return false
  }
}

export const forgetEntry = (seat: string, id: string): void => forget(keyOf(seat, id))

/** Gives up all that is kept for a seat. */
export function forgetAll(seat: string): void {
  for (const key of keysOf(seat)) forget(key)
}

function parse(text: string): Entry & { at: number } {
  const { format, at, operation, reason } = JSON.parse(text) as Kept
  return { at, operation: today(operation, format), ...(reason !== undefined && { reason }) }
}

/** Earlier builds kept one box with everything in it; those of the first format said no number. */
function fromOneBox(text: string): (Entry & { at: number })[] {
  const box = JSON.parse(text) as {
    format?: number
    operations?: unknown[]
    refused?: { operation: unknown; reason: string }[]
  }
  const format = box.format ?? 1
  return [
    ...(box.refused ?? []).map(({ operation, reason }) => ({ operation: today(operation, format), reason })),
    ...(box.operations ?? []).map((operation) => ({ operation: today(operation, format) })),
  ].map((entry, i) => ({ ...entry, at: i }))
}

function today(operation: unknown, format: number): Operation {
  const made = upgradeOperation(operation, format)
  if (typeof (made as { id?: unknown } | null)?.id !== 'string') throw new Error('no operation')
  return made as Operation
}

const keysOf = (seat: string): string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter(
    (key) => key === prefix(seat) || key.startsWith(`${prefix(seat)}:`),
  )

function setAside(key: string, text: string): void {
  try {
    localStorage.setItem(key.replace('young-oak-outbox', 'young-oak-unread'), text)
  } catch {
    return
  }
  forget(key)
}

const forget = (key: string): void => localStorage.removeItem(key)
