import Papa from 'papaparse'
import { inviteSchema, mostInvited, roles, type GivenInvite, type Role } from '@young-oak/api/people'
import { ValidationError } from 'yup'

export type Writer = { id: string; name: string }
/** A line of a list: whom it invites, or what is wrong with it. `row`: as it was pasted. */
export type InviteLine = { line: number; row: string[]; invite?: GivenInvite; faults: string[] }
/** `heads`: the first line, where it names the columns. */
export type InviteList = { heads?: string[]; lines: InviteLine[]; fault?: string }

const columns = ['name', 'email', 'role', 'writer'] as const
type Column = (typeof columns)[number]
const heads: Record<string, Column> = {
  name: 'name',
  'e-mail': 'email',
  email: 'email',
  'e-mail address': 'email',
  role: 'role',
  writer: 'writer',
}

/**
 * Reads a list that was pasted from a spreadsheet or comes from a CSV file: name, e-mail address, role and writer, in the order of its heads or in
 * this one. What is left out of a line is nobody's address, a member, and no writer.
 */
export function readInvites(text: string, writers: Writer[]): InviteList {
  const { data } = Papa.parse<string[]>(text.trim(), {
    delimiter: text.includes('\t') ? '\t' : text.includes(',') ? ',' : ';',
    skipEmptyLines: 'greedy',
    preview: mostInvited + 2,
  })
  const [first = []] = data
  const said = first.map((head) => heads[head.trim().toLowerCase()])
  const hasHeads = first.length > 0 && said.every((column) => column !== undefined)
  const rows = hasHeads ? data.slice(1) : data
  if (rows.length > mostInvited)
    return { lines: [], fault: `At most ${mostInvited} people are invited at once: divide the list.` }
  const order = hasHeads ? (said as Column[]) : columns
  const lines = rows.map((row, i) => readLine(row, i + (hasHeads ? 2 : 1), order, writers))
  return { ...(hasHeads && { heads: first }), lines: withoutTwins(lines) }
}

function readLine(row: string[], line: number, order: readonly Column[], writers: Writer[]): InviteLine {
  const cell = (column: Column) => row[order.indexOf(column)]?.trim() ?? ''
  const [email, role, writer] = [cell('email'), cell('role').toLowerCase() || 'member', cell('writer')]
  const known = writers.find(({ name }) => name.toLowerCase() === writer.toLowerCase())
  const faults = [
    ...(row.length > order.length ? [`${row.length} columns: at most ${order.length} are read.`] : []),
    ...(writer && !known ? [`No writer is called “${writer}”.`] : []),
  ]
  const given = {
    name: cell('name'),
    role: role as Role,
    ...(email && { email: email.toLowerCase() }),
    ...(known && { writers: [known.id] }),
  }
  if (!roles.includes(given.role)) faults.push(`A role is ${roles.join(', ')}; this is “${role}”.`)
  else faults.push(...faultsOf(given))
  return { line, row, faults, ...(faults.length === 0 && { invite: given }) }
}

function faultsOf(given: GivenInvite): string[] {
  try {
    inviteSchema.validateSync(given, { strict: true, abortEarly: false })
    return []
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return error.errors
  }
}

/** An address that stands twice is one person: the second line is a fault. */
function withoutTwins(lines: InviteLine[]): InviteLine[] {
  const seen = new Map<string, number>()
  return lines.map((one) => {
    const { invite, ...rest } = one
    const before = invite?.email && seen.get(invite.email)
    if (before) return { ...rest, faults: [`The address of line ${before} again.`] }
    if (invite?.email) seen.set(invite.email, one.line)
    return one
  })
}

/** The lines that were not taken, as they were, to be mended. */
export function textOf({ heads, lines }: InviteList): string {
  const left = lines.filter(({ invite }) => !invite).map(({ row }) => row)
  const rows = heads && left.length ? [heads, ...left] : left
  return Papa.unparse(rows, { delimiter: '\t', newline: '\n' })
}
