import type { Library } from '../../library/index.ts'
import { type Id, formatIssue, type Issue } from '../../parsing/index.ts'
import { cellNames, type CellField } from '../cells/cells.ts'
import { progressionName } from '../commands/progressions.ts'
import { slotName } from './sayAdjustment.ts'
import type { Template } from '../types.ts'

/** A fault of a template with its place in the writer's words: "Back squat (Session A), Base, week 2, load: expected…". */
export const sayIssue = (library: Library, template: Template, issue: Issue): string =>
  formatIssue({ ...issue, path: sayPlace(library, template, issue.path) })

/** A place of a template as the writer calls it; one that has no name of theirs as it is. */
export function sayPlace(library: Library, template: Template, path: string): string {
  const { slots, sessions, progressions, tracks, phases } = template
  const kinds: [string, Record<Id, unknown>, (id: Id, rest: string) => string][] = [
    ['slots', slots, (id, rest) => slotName(library, template, id) + inSlot(template, id, rest)],
    ['sessions', sessions, (id, rest) => (sessions[id]?.name ?? id) + plainly(rest)],
    ['progressions', progressions, (id, rest) => progressionName(library, template, id) + plainly(rest)],
    ['tracks', tracks, (id, rest) => `track ${tracks[id]?.name ?? id}${plainly(rest)}`],
  ]
  for (const [kind, entries, say] of kinds) {
    // An id may hold dots itself, so the longest that is there is the one.
    const [id] = Object.keys(entries)
      .filter((one) => new RegExp(`^${escaped(`${kind}.${one}`)}(?![\\w:-])`).test(path))
      .sort((a, b) => b.length - a.length)
    if (id !== undefined) return say(id, path.slice(kind.length + 1 + id.length))
  }
  const [whole = '', index] = /^phases\[(\d+)\]/.exec(path) ?? []
  const phase = index === undefined ? undefined : phases[Number(index)]
  return phase ? phase.name + plainly(path.slice(whole.length)) : path
}

function inSlot({ phases, slots }: Template, id: Id, rest: string): string {
  if (!rest.startsWith('.rows.')) return plainly(rest)
  const phase = phases.find((one) => rest.startsWith(`.rows.${one.id}`))
  if (!phase) return plainly(rest)
  const [whole = '', row] = /^\[(\d+)\](?:\[\d+\])?/.exec(rest.slice(6 + phase.id.length)) ?? []
  const inside = rest.slice(6 + phase.id.length + whole.length)
  const [, field = ''] = /^\.(\w+)/.exec(inside) ?? []
  const cell = Object.hasOwn(cellNames, field) ? `, ${cellNames[field as CellField]}` : plainly(inside)
  const where = row === undefined ? '' : `, ${slots[id]?.by === 'week' ? 'week' : 'row'} ${Number(row) + 1}`
  return `, ${phase.name}${where}${cell}`
}

/** ".parts[1].minutes" as ", parts 2, minutes". */
const plainly = (rest: string): string =>
  rest.replace(/\[(\d+)\]/g, (_, n: string) => ` ${Number(n) + 1}`).replace(/\./g, ', ')

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
