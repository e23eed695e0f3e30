import type { Lift } from '../library/index.ts'
import type { Stage } from '../progressions/registry.ts'
import type { CellField } from './cells.ts'
import type { Adjustment, Id, Progression, SetGroup, Slot, Template } from './types.ts'

/**
 * An edit of a draft: named, with ids, the old value and the new, never an array index. The same object is the undo entry,
 * the autosave, the message to the worker, and what is merged between two writers.
 */
export type Command =
  | { do: 'setName'; from: string; to: string }
  | { do: 'setHead'; field: HeadField; from: Head; to: Head }
  | { do: 'setCell'; slot: Id; phase: Id; row: number; group: Id; field: CellField; from: Cell; to: Cell }
  | { do: 'setExercise'; slot: Id; from: Lift; to: Lift }
  | { do: 'setWarmUp'; slot: Id; from: SlotWarmUp; to: SlotWarmUp }
  | { do: 'setParams'; progression: Id; stage: Id; from: Stage['params']; to: Stage['params'] }
  | { do: 'setRule'; progression: Id; stage: Id; from: RuleOfStage; to: RuleOfStage }
  /** The whole of a progression; null where there is none. */
  | { do: 'setProgression'; progression: Id; from: Progression | null; to: Progression | null }
  /** The whole of a slot, where more than a cell of it changes: the rules that it follows, lifts in turn. */
  | { do: 'setSlot'; slot: Id; from: Slot; to: Slot }
  | { do: 'setLight'; phase: Id; from: Adjustment[]; to: Adjustment[] }
  | { do: 'addSlot'; slot: Id; session: Id; after: Id; value: Slot }
  | { do: 'removeSlot'; slot: Id; session: Id; after: Id; value: Slot }
  | { do: 'several'; commands: Command[] }

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
] as const
export type HeadField = (typeof headFields)[number]
export type Head = Template[HeadField] | null

/** A slot's own warm-up; null where the template's is taken. */
export type SlotWarmUp = NonNullable<Slot['warmUp']> | null

/** The value of a cell, null where it is empty. */
export type Cell = SetGroup[CellField] | null

/** Why a command no longer fits: what it speaks of is gone, or somebody has changed it since. */
export type Conflict = { conflict: string }

export const isConflict = (result: Template | Conflict): result is Conflict => 'conflict' in result

/** The draft after a command; the draft itself is left as it is, and everything untouched is shared with it. */
export function applyCommand(draft: Template, command: Command): Template | Conflict {
  switch (command.do) {
    case 'setName':
      return same(draft.name, command.from) ? { ...draft, name: command.to } : changed('The name', draft.name)
    case 'setHead':
      return setHead(draft, command)
    case 'setCell':
      return setCell(draft, command)
    case 'setExercise':
      return setExercise(draft, command)
    case 'setWarmUp':
      return setWarmUp(draft, command)
    case 'setParams':
      return setParams(draft, command)
    case 'setRule':
      return setRule(draft, command)
    case 'setSlot':
      return setSlot(draft, command)
    case 'setProgression':
      return setProgression(draft, command)
    case 'setLight':
      return setLight(draft, command)
    case 'addSlot':
      return addSlot(draft, command)
    case 'removeSlot':
      return removeSlot(draft, command)
    case 'several':
      return command.commands.reduce<Template | Conflict>(
        (made, one) => (isConflict(made) ? made : applyCommand(made, one)),
        draft,
      )
  }
}

/** The command that takes another one back. */
export function invert(command: Command): Command {
  switch (command.do) {
    case 'several':
      return { do: 'several', commands: command.commands.map(invert).reverse() }
    case 'addSlot':
      return { ...command, do: 'removeSlot' }
    case 'removeSlot':
      return { ...command, do: 'addSlot' }
    default:
      return { ...command, from: command.to, to: command.from } as Command
  }
}

type Of<K extends Command['do']> = Extract<Command, { do: K }>

function setHead(draft: Template, { field, from, to }: Of<'setHead'>): Template | Conflict {
  if (!same(draft[field] ?? null, from)) return changed(`What the template says of ${field}`, draft[field])
  const { [field]: _old, ...others } = draft
  return (to === null ? others : { ...others, [field]: to }) as Template
}

function setCell(
  draft: Template,
  { slot: id, phase, row, group: groupId, field, from, to }: Of<'setCell'>,
): Template | Conflict {
  const slot = draft.slots[id]
  const rows = slot?.rows[phase]
  const groups = rows?.[row]
  const group = groups?.find((one) => one.id === groupId)
  if (!slot || !rows || !groups || !group) return gone(`The cell ${field} of ${id}`)
  if (!same(group[field] ?? null, from)) return changed(`The cell ${field} of ${id}`, group[field])
  const { [field]: _old, ...others } = group
  const next = (to === null ? others : { ...group, [field]: to }) as SetGroup
  const nextRow = groups.map((one) => (one === group ? next : one))
  const nextRows = rows.map((one, i) => (i === row ? nextRow : one))
  return withSlot(draft, id, { ...slot, rows: { ...slot.rows, [phase]: nextRows } })
}

function setExercise(draft: Template, { slot: id, from, to }: Of<'setExercise'>): Template | Conflict {
  const slot = draft.slots[id]
  if (!slot) return gone(`The slot ${id}`)
  const { exercise, variant, ...rest } = slot
  if (exercise !== from.exercise || variant !== from.variant)
    return changed(`The exercise of ${id}`, exercise)
  return withSlot(draft, id, { ...to, ...rest })
}

function setWarmUp(draft: Template, { slot: id, from, to }: Of<'setWarmUp'>): Template | Conflict {
  const slot = draft.slots[id]
  if (!slot) return gone(`The slot ${id}`)
  const { warmUp = null, ...rest } = slot
  if (!same(warmUp, from)) return changed(`The warm-up of ${id}`, warmUp)
  return withSlot(draft, id, { ...rest, ...(to !== null && { warmUp: to }) })
}

function setParams(draft: Template, { from, to, ...at }: Of<'setParams'>): Template | Conflict {
  return changeStage(draft, at, (stage) =>
    same(stage.params, from)
      ? { ...stage, params: to }
      : changed(`The progression ${at.progression}`, stage.params),
  )
}

function setRule(draft: Template, { from, to, ...at }: Of<'setRule'>): Template | Conflict {
  return changeStage(draft, at, (stage) => {
    const { rule, params } = stage
    return same({ rule, params }, from)
      ? { ...stage, ...to }
      : changed(`The progression ${at.progression}`, rule)
  })
}

function setProgression(
  draft: Template,
  { progression: id, from, to }: Of<'setProgression'>,
): Template | Conflict {
  const { [id]: own = null, ...others } = draft.progressions
  if (!own && from) return gone(`The progression ${id}`)
  if (!same(own, from)) return changed(`The progression ${id}`, own)
  return { ...draft, progressions: to ? { ...draft.progressions, [id]: to } : others }
}

function setSlot(draft: Template, { slot: id, from, to }: Of<'setSlot'>): Template | Conflict {
  const own = draft.slots[id]
  if (!own) return gone(`The slot ${id}`)
  return same(own, from) ? withSlot(draft, id, to) : changed(`The slot ${id}`, 'something else')
}

function changeStage(
  draft: Template,
  { progression: id, stage: stageId }: { progression: Id; stage: Id },
  change: (stage: Stage) => object | Conflict,
): Template | Conflict {
  const progression = draft.progressions[id]
  const stage = progression?.stages.find((one) => one.id === stageId)
  if (!progression || !stage) return gone(`The progression ${id}`)
  const next = change(stage)
  if ('conflict' in next) return next
  const stages = progression.stages.map((one) => (one === stage ? (next as typeof one) : one))
  return { ...draft, progressions: { ...draft.progressions, [id]: { ...progression, stages } } }
}

function setLight(draft: Template, { phase: id, from, to }: Of<'setLight'>): Template | Conflict {
  const phase = draft.phases.find((one) => one.id === id)
  if (!phase) return gone(`The phase ${id}`)
  if (!same(phase.light, from)) return changed(`The light weeks of ${phase.name}`, phase.light)
  return { ...draft, phases: draft.phases.map((one) => (one === phase ? { ...phase, light: to } : one)) }
}

function addSlot(draft: Template, { slot, session: id, after, value }: Of<'addSlot'>): Template | Conflict {
  const session = draft.sessions[id]
  if (!session?.parts.some((part) => part.slots.includes(after))) return gone(`The slot ${after}`)
  if (draft.slots[slot]) return changed(`The slot ${slot}`, 'there already')
  const parts = session.parts.map((part) => {
    const at = part.slots.indexOf(after)
    return at < 0
      ? part
      : { ...part, slots: [...part.slots.slice(0, at + 1), slot, ...part.slots.slice(at + 1)] }
  })
  return withSlot({ ...draft, sessions: { ...draft.sessions, [id]: { ...session, parts } } }, slot, value)
}

function removeSlot(draft: Template, { slot, session: id, value }: Of<'removeSlot'>): Template | Conflict {
  const session = draft.sessions[id]
  if (!session || !draft.slots[slot]) return gone(`The slot ${slot}`)
  if (!same(draft.slots[slot], value)) return changed(`The slot ${slot}`, 'something else')
  const parts = session.parts.map((part) => ({ ...part, slots: part.slots.filter((one) => one !== slot) }))
  const { [slot]: _removed, ...slots } = draft.slots
  return { ...draft, slots, sessions: { ...draft.sessions, [id]: { ...session, parts } } }
}

const withSlot = (draft: Template, id: Id, slot: Slot): Template => ({
  ...draft,
  slots: { ...draft.slots, [id]: slot },
})
/** Equal as JSON, in whatever order the keys stand. */
export const same = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b)
const gone = (what: string): Conflict => ({ conflict: `${what} is no longer there.` })
const changed = (what: string, now: unknown): Conflict => ({
  conflict: `${what} has been changed since: it is ${JSON.stringify(now)} now.`,
})

/** JSON with sorted keys: a database may give an object's keys back in another order. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  )
}
