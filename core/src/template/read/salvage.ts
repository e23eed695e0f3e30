import type { Library } from '../../library/index.ts'
import { fieldIn, type Issue } from '../../parsing/index.ts'
import { asWritten, readDraft } from './read.ts'
import { upgradeTemplate } from './upgrades/index.ts'
import type { Template } from '../types.ts'

/** What can be kept of a file with faults: the template without the pieces that hold them, and what was left out. */
export type Salvaged =
  | { template: Template; library: Library; issues: Issue[]; leftOut: string[] }
  | { template?: undefined; library?: undefined; issues: Issue[] }

type Json = Record<string, unknown>

/**
 * Reads a file and, where it has faults, reads it again without the pieces that hold them: a key that is unknown, a slot, a track, a
 * progression, a deload. What a template cannot be without is never made up: then nothing is kept.
 */
export function salvageTemplate(given: unknown, library: Library = {}): Salvaged {
  const salvaged = salvage(upgradeTemplate(given), library)
  return { ...salvaged, issues: salvaged.issues.map((issue) => asWritten(issue, fieldIn(given, 'format'))) }
}

function salvage(input: unknown, library: Library): Salvaged {
  const first = readDraft(input, library)
  if (first.template) return { ...first, issues: [], leftOut: [] }
  const { issues } = first
  if (typeof input !== 'object' || input === null || issues.some(({ path }) => path === 'format'))
    return { issues }
  const file = JSON.parse(JSON.stringify(input)) as Json
  const leftOut: string[] = []
  for (let tries = 0, now = issues; tries < 200; tries++) {
    const dropped = firstDropped(file, now)
    if (dropped === null) return { issues }
    leftOut.push(dropped)
    const again = readDraft(file, library)
    if (again.template) return { ...again, issues, leftOut }
    now = again.issues
  }
  return { issues }
}

/** The piece of the first fault that can be spared: others may be gone with it. */
function firstDropped(file: Json, issues: Issue[]): string | null {
  for (const issue of issues) {
    const dropped = dropPiece(file, issue)
    if (dropped !== null) return dropped
  }
  return null
}

/** Takes the piece that an issue speaks of out of a file; null where it cannot be spared. */
function dropPiece(file: Json, issue: Issue): string | null {
  const { path } = issue
  const [, kind, id] = /^(slots|tracks|progressions)\.([\w:-]+)/.exec(path) ?? []
  if (issue.expected.startsWith('one of the keys ')) return dropKey(file, path)
  if (kind === 'slots' && id !== undefined) return dropSlot(file, id)
  if (kind !== undefined && id !== undefined) return dropEntry(file, kind, id)
  const [, phase, deload] = /^phases\[(\d+)\]\.deloads\[(\d+)\]/.exec(path) ?? []
  if (deload !== undefined) return dropAt(file, ['phases', Number(phase), 'deloads'], Number(deload), path)
  const [, laid] = /^phases\[(\d+)\]\.layout/.exec(path) ?? []
  if (laid !== undefined) return dropKey(file, `phases[${laid}].layout`)
  const [, session] = /^sessions\.([\w:-]+)$/.exec(path) ?? []
  if (session !== undefined && /in the rotation/.test(issue.expected))
    return dropEntry(file, 'sessions', session)
  const spare = [
    'note',
    'away',
    'deloadPolicy',
    'tempoX',
    'warmUp',
    'maxes',
    'rounding',
    'deloadRounding',
    'testRounding',
    'trainingMax',
    'missed',
  ]
  const [head = ''] = path.split(/[.[]/)
  if (spare.includes(head) && head in file) {
    delete file[head]
    return head
  }
  return null
}

function dropKey(file: Json, path: string): string | null {
  const steps = path.split(/[.[\]]+/).filter(Boolean)
  const last = steps.pop() as string
  const parent = steps.reduce<unknown>((at, step) => (at as Json | undefined)?.[step], file) as
    Json | undefined
  if (!parent || Array.isArray(parent) || !(last in parent)) return null
  delete parent[last]
  return path
}

function dropEntry(file: Json, kind: string, id: string): string | null {
  const entries = file[kind] as Json | undefined
  if (!entries || !(id in entries)) return null
  delete entries[id]
  if (kind === 'progressions')
    for (const slot of Object.values((file.slots ?? {}) as Record<string, Json>)) {
      if (Array.isArray(slot.uses)) slot.uses = slot.uses.filter((one: Json) => one?.progression !== id)
    }
  return `${kind}.${id}`
}

/** A slot goes out of its session too. */
function dropSlot(file: Json, id: string): string | null {
  if (!dropEntry(file, 'slots', id)) return null
  for (const session of Object.values((file.sessions ?? {}) as Record<string, Json>))
    for (const section of (Array.isArray(session?.sections) ? session.sections : []) as Json[])
      if (Array.isArray(section?.slots)) section.slots = section.slots.filter((one: unknown) => one !== id)
  return `slots.${id}`
}

function dropAt(file: Json, way: (string | number)[], at: number, path: string): string | null {
  const list = way.reduce<unknown>((inside, step) => (inside as Json | undefined)?.[step], file)
  if (!Array.isArray(list) || !(at in list)) return null
  list.splice(at, 1)
  return path
}
