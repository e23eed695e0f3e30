import type { Adjustment } from '../adjustments/index.ts'
import type { Id } from '../parsing/index.ts'
import { exerciseNamed, type Library } from '../library/index.ts'
import { placeDeload, type DeloadKind } from '../deloads/index.ts'
import type { Stage } from '../progressions/index.ts'
import {
  readSets,
  nominalWeeks,
  type Phase,
  type Progression,
  type SetPrescription,
  type Slot,
  type Template,
  type Track,
} from '../template/index.ts'

/**
 * A template to begin with. One file each, file name = export = `kind`. Its sessions are written as they would be typed into a sheet:
 * "squat: back squat 3 x 5 @ rule rest 3:00", where "squat" names a rule, "squat/light" the role in it, and "+" joins a line to the
 * one above. Sets of the phases are parted by "|", of the weeks of one by ">"; the last said holds on.
 */
export type Starter = {
  kind: string
  title: string
  level: 'novice' | 'intermediate' | 'advanced'
  split: string
  days: string
  /** For whom it is, and what is said for and against it (both schools, where they differ). */
  say: string
  phases: StarterPhase[]
  sessions: Record<Id, { name: string; parts: Record<string, string[]> }>
  rules: Record<Id, Omit<Stage, 'id'>>
  head?: Partial<Pick<Template, 'trainingMax' | 'missed' | 'away' | 'deloadPolicy' | 'maxes' | 'warmUp'>>
  tracks?: ('lighter' | 'short')[]
}

export type StarterPhase = Pick<Phase, 'name' | 'rotation' | 'perWeek'> & {
  weeks: number
  ends?: 'test day'
  defaults?: Phase['defaults']
  /** Deloads by a recipe: of the phase, or back from the test. */
  deload?: { recipe: DeloadKind; params: object; weeks?: number[] }
}

export const defineStarter = (start: Starter): Starter => start

/** A template to begin with names what everybody has. */
const library: Library = {}

/** The template that a start comes to. A line that does not read is a programmer's error. */
export function templateOf(start: Starter): Template {
  const phases = start.phases.map(({ deload, ...phase }, i): Phase => ({
    id: `phase-${i + 1}`,
    ...phase,
    deloads: deload
      ? placeDeload(
          deload.recipe,
          deload.params,
          { weeks: deload.weeks ?? [] },
          (n) => `deload-${i + 1}-${n}`,
        )
      : [],
  }))
  const slots: Record<Id, Slot> = {}
  const sessions: Template['sessions'] = {}
  const progressions: Record<Id, Progression> = Object.fromEntries(
    Object.entries(start.rules).map(([id, stage]) => [
      id,
      { stages: [{ id: 'one', ...stage }] as Progression['stages'] },
    ]),
  )
  const base: Template = {
    format: 2,
    name: start.title,
    note: start.say,
    maxes: { use: 'newest' },
    missed: 'hold',
    rounding: 'nearest',
    warmUp: {
      kind: 'listed',
      bar: 8,
      sets: [
        { percent: 50, reps: 5 },
        { percent: 75, reps: 3 },
      ],
    },
    ...start.head,
    phases,
    sessions,
    slots,
    progressions,
    tracks: {},
  }
  for (const [id, { name, parts }] of Object.entries(start.sessions)) {
    const own = phases.filter(({ rotation }) => rotation.includes(id))
    sessions[id] = {
      name,
      sections: Object.entries(parts).map(([part, lines]) => ({
        name: part,
        slots: lines.map((line, i) => {
          const slotId = `${id}-${part.toLowerCase()}-${i + 1}`
          slots[slotId] = slotOf(base, line, own)
          return slotId
        }),
      })),
    }
  }
  joinLines(start, slots)
  return { ...base, tracks: tracksOf(start, base) }
}

function slotOf(base: Template, line: string, phases: Phase[]): Slot {
  const [, uses, text = ''] = /^\+?\s*(?:([\w/-]+):\s+)?(.+)$/.exec(line) ?? []
  const begins = text.search(/\s\d/)
  const exercise = exerciseNamed(library, begins < 0 ? text : text.slice(0, begins))
  if (!exercise) throw new Error(`unknown exercise in the start line "${line}"`)
  const [progression, role = 'main'] = uses?.split('/') ?? []
  const slot: Slot = { exercise, by: 'week', uses: progression ? [{ progression, role }] : [], rows: {} }
  const byPhase = text.slice(begins).split('|')
  phases.forEach((phase, i) => {
    const weeks = (byPhase[i] ?? byPhase[byPhase.length - 1] ?? '').split('>')
    let now: SetPrescription[] = []
    slot.rows[phase.id] = Array.from({ length: nominalWeeks(phase) }, (_, week) => {
      const said = weeks[week]
      if (said === undefined) return now
      const read = readSets(library, said, now, slot, base)
      if (!read.prescriptions) throw new Error(`invalid start line "${line}": ${read.fault}`)
      return (now = read.prescriptions)
    })
  })
  return slot
}

/** Lines that begin with "+" alternate with the one above. */
function joinLines({ sessions }: Starter, slots: Record<Id, Slot>): void {
  for (const [id, { parts }] of Object.entries(sessions)) {
    let n = 0
    for (const [part, lines] of Object.entries(parts))
      lines.forEach((line, i) => {
        const isJoined = line.startsWith('+')
        if (!isJoined && !lines[i + 1]?.startsWith('+')) return
        if (!isJoined) n += 1
        const slot = slots[`${id}-${part.toLowerCase()}-${i + 1}`]
        if (slot) slot.superset = String.fromCharCode(64 + n)
      })
  }
}

/** Lighter: a tenth less load. Short of time: the part after the main one left out. */
function tracksOf({ tracks = [] }: Starter, { sessions }: Template): Record<Id, Track> {
  const after = Object.values(sessions).flatMap(({ sections: parts }) =>
    parts.flatMap(({ name, slots }) => (name === 'After' ? slots : [])),
  )
  const known: Record<'lighter' | 'short', Track> = {
    lighter: {
      name: 'Lighter',
      changes: [{ id: 'load', do: { kind: 'scaleLoad', by: -10 }, where: {} } as Adjustment],
    },
    short: {
      name: 'Short of time',
      changes: [{ id: 'after', do: { kind: 'drop' }, where: { slots: after } } as Adjustment],
    },
  }
  return Object.fromEntries(tracks.map((track) => [track, known[track]]))
}
