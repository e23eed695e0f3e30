import type { Lift } from '../../library/index.ts'
import type { Stage } from '../../progressions/registry.ts'
import type { Checker } from '../../reading/index.ts'
import type { CellField } from '../cells.ts'
import type {
  Adjustment,
  Defaults,
  Id,
  Length,
  Part,
  Phase,
  Progression,
  Session,
  SetGroup,
  Slot,
  Template,
  Track,
} from '../types.ts'

/**
 * An edit of a draft: named, with ids, the old value and the new, never an array index. The same object is the undo entry,
 * the autosave, the message to the worker, and what is merged between two writers.
 */
export type Command =
  // The template.
  | { do: 'setName'; from: string; to: string }
  | { do: 'setHead'; field: HeadField; from: Head; to: Head }
  // Phases.
  | { do: 'addPhase'; phase: Id; after: Id | null; value: Phase; rows: PhaseRows }
  | { do: 'removePhase'; phase: Id; after: Id | null; value: Phase; rows: PhaseRows }
  | { do: 'movePhase'; phase: Id; from: Id | null; to: Id | null }
  | { do: 'setPhase'; phase: Id; field: PhaseField; from: PhaseValue; to: PhaseValue }
  /** `rows` are those past the shorter of the two lengths, of the slots that have a row for each week. */
  | { do: 'setWeeks'; phase: Id; from: Length; to: Length; rows: PhaseRows }
  | { do: 'setLight'; phase: Id; from: Adjustment[]; to: Adjustment[] }
  // Sessions.
  | { do: 'addSession'; session: Id; value: Session }
  | { do: 'removeSession'; session: Id; value: Session }
  | { do: 'setSession'; session: Id; field: SessionField; from: SessionValue; to: SessionValue }
  /** The parts with the slots in them, which stay the same slots. */
  | { do: 'setParts'; session: Id; from: Part[]; to: Part[] }
  // Slots.
  | { do: 'addSlot'; slot: Id; session: Id; part?: string; after: Id; value: Slot }
  | { do: 'removeSlot'; slot: Id; session: Id; part?: string; after: Id; value: Slot }
  /** Null is outside of every session, where a track may add it from. */
  | { do: 'moveSlot'; slot: Id; from: Spot | null; to: Spot | null }
  /** The whole of a slot, where more than a cell of it changes. */
  | { do: 'setSlot'; slot: Id; from: Slot; to: Slot }
  | { do: 'setSlotField'; slot: Id; field: SlotField; from: SlotValue; to: SlotValue }
  | { do: 'setExercise'; slot: Id; from: Lift; to: Lift }
  | { do: 'setWarmUp'; slot: Id; from: SlotWarmUp; to: SlotWarmUp }
  | { do: 'setCell'; slot: Id; phase: Id; row: number; group: Id; field: CellField; from: Cell; to: Cell }
  /** The lines of a slot in one row. */
  | { do: 'setRow'; slot: Id; phase: Id; row: number; from: SetGroup[]; to: SetGroup[] }
  // Progressions.
  | { do: 'setParams'; progression: Id; stage: Id; from: Stage['params']; to: Stage['params'] }
  | { do: 'setRule'; progression: Id; stage: Id; from: RuleOfStage; to: RuleOfStage }
  /** The whole of a progression; null where there is none. */
  | { do: 'setProgression'; progression: Id; from: Progression | null; to: Progression | null }
  // Tracks.
  | { do: 'setTrack'; track: Id; from: Track | null; to: Track | null }
  | { do: 'setTrackName'; track: Id; from: string; to: string }
  /** A change put in or taken out stands behind `after`, first where that is empty, last where it is not said. */
  | { do: 'setChange'; track: Id; change: Id; after?: Id; from: Adjustment | null; to: Adjustment | null }
  | { do: 'several'; commands: Command[]; name?: string }

/** Rows by slot, of one phase. */
export type PhaseRows = Record<Id, SetGroup[][]>

/** Where a slot stands: in a part of a session, behind another slot or, with an empty `after`, first. */
export type Spot = { session: Id; part: string; after: Id }

/** A stage's rule with its numbers. */
export type RuleOfStage = Pick<Stage, 'rule' | 'params'>

/** What a template says for all of its slots. */
export const headFields = [
  'trainingMax',
  'maxes',
  'rounding',
  'warmUp',
  'missed',
  'away',
  'lightPolicy',
  'note',
] as const
export type HeadField = (typeof headFields)[number]
export type Head = Template[HeadField] | null

export const phaseFields = ['name', 'rotation', 'perWeek', 'ends', 'defaults'] as const
export type PhaseField = (typeof phaseFields)[number]
export type PhaseValue = Phase[PhaseField] | null

export const sessionFields = ['name', 'defaults'] as const
export type SessionField = (typeof sessionFields)[number]
export type SessionValue = string | Defaults | null

export const slotFields = ['group', 'note', 'turns', 'circuit', 'capStep', 'counts'] as const
export type SlotField = (typeof slotFields)[number]
export type SlotValue = Slot[SlotField] | null

/** A slot's own warm-up; null where the template's is taken. */
export type SlotWarmUp = NonNullable<Slot['warmUp']> | null

/** The value of a cell, null where it is empty. */
export type Cell = SetGroup[CellField] | null

/** Why a command no longer fits: what it speaks of is gone, or somebody has changed it since. */
export type Conflict = { conflict: string }

export type Of<K extends Command['do']> = Extract<Command, { do: K }>

/** What is done with one kind of command. One place each: how it acts, what its values must be, and how it is called. */
export type CommandKind<K extends Command['do']> = {
  /** The draft after it; everything untouched is shared with the draft before. */
  apply(draft: Template, command: Of<K>): Template | Conflict
  /** The faults of its own values, located as in a file. Only the piece that it touches is read. */
  check(checker: Checker, draft: Template, command: Of<K>): void
  /** What it does, in words, as a step that can be taken back; `draft` is the one before it. */
  say(draft: Template, command: Of<K>): string
  /** Where the way back is not the same command with `from` and `to` the other way round. */
  inverse?(command: Of<K>): Command
}

export const defineCommand = <K extends Command['do']>(kind: CommandKind<K>): CommandKind<K> => kind

export const isConflict = (result: Template | Conflict): result is Conflict => 'conflict' in result

/** Equal as JSON, in whatever order the keys stand. */
export const same = (a: unknown, b: unknown): boolean => a === b || canonical(a) === canonical(b)

export const gone = (what: string): Conflict => ({ conflict: `${what} is no longer there.` })

export const changed = (what: string, now: unknown): Conflict => {
  const value = JSON.stringify(now) ?? 'empty'
  const said = value.length > 80 ? 'something else' : value
  return { conflict: `${what} has been changed since: it is ${said} now.` }
}

/** JSON with sorted keys: a database may give an object's keys back in another order. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  )
}

/** An object with a field set, or without it where the value is null. */
export function withField<T extends object>(thing: T, field: keyof T, to: unknown): T {
  if (to !== null && to !== undefined) return { ...thing, [field]: to }
  const { [field]: _, ...others } = thing
  return others as T
}

export const withSlot = (draft: Template, id: Id, slot: Slot): Template => ({
  ...draft,
  slots: { ...draft.slots, [id]: slot },
})
