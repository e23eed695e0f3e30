import { audited, isAudited } from '@young-oak/api/audit'
import type { Scope } from '../../database/scope.ts'
import type { Seat } from '../../http/seat.ts'
import { noteChange, noteList, noteRead } from './store.ts'

type Done = {
  name: string
  seat: Seat
  params: Record<string, string>
  query: Record<string, unknown>
  body: unknown
  answer: unknown
}

/** Keeps what staff did, in the transaction in which it was done; what members do with their own is not noted. */
export async function note(scope: Scope, { name, seat, params, query, body, answer }: Done): Promise<void> {
  if (seat.kind === 'member' || !isAudited(name)) return
  const entry = { staff: seat.id, what: name, subject: subjectIn(name, params) }
  switch (audited[name].kind) {
    case 'read':
      return noteRead(scope, entry, params.id as string)
    case 'list':
      return noteList(scope, entry, seenIn(params, query, answer))
    case 'change':
      return noteChange(scope, entry, changedIn(name, params, body))
  }
}

/** What the address names, where that is no member. */
const subjectIn = (name: string, { id }: Done['params']): string | null =>
  id === undefined || name.includes('/members/:id/') ? null : id

/** A list comes whole, or in pages. */
function seenIn(params: Done['params'], query: Done['query'], answer: unknown) {
  const { after, today: _, most: _most, ...wanted } = query
  const filter = Object.entries({ ...params, ...wanted })
    .map(([key, value]) => `${key}=${String(value)}`)
    .sort()
    .join(' ')
  const { items, members, next } = answer as { items?: unknown[]; members?: unknown[]; next?: string | null }
  const lines = Array.isArray(answer) ? answer : (items ?? members ?? [])
  return { filter, count: lines.length, isFirst: after === undefined, isLast: !next }
}

/** Whom a change is about: the member in the address, those whom the body names, or else nobody in particular. */
function changedIn(name: string, params: Done['params'], body: unknown) {
  if (name.includes('/members/:id/')) return { members: [params.id as string], count: null }
  const { members, rows, people } = (body ?? {}) as {
    members?: string[]
    rows?: { member: string }[]
    people?: unknown[]
  }
  const named = members ?? rows?.map(({ member }) => member) ?? []
  return { members: [...new Set(named)], count: people?.length ?? null }
}
