import { applyCommand } from '../edit.ts'
import type { Id, Template } from '../types.ts'
import { isConflict, type Command, type Of, type Spot } from './command.ts'
import { spotOf } from './slots.ts'

type Getters = { [K in Command['do']]?: (draft: Template, command: Of<K>) => unknown }

/** What stands now where a command sets one value; null where it is empty, undefined where its place is gone. */
const now: Getters = {
  setName: ({ name }) => name,
  setHead: (draft, { field }) => draft[field] ?? null,
  setPhase: ({ phases }, { phase, field }) =>
    fieldOf(
      phases.find(({ id }) => id === phase),
      field,
    ),
  setLight: ({ phases }, { phase }) => phases.find(({ id }) => id === phase)?.light,
  setSession: ({ sessions }, { session, field }) => fieldOf(sessions[session], field),
  setSlotField: ({ slots }, { slot, field }) => fieldOf(slots[slot], field),
  setWarmUp: ({ slots }, { slot }) => fieldOf(slots[slot], 'warmUp'),
  setExercise({ slots }, { slot }) {
    const own = slots[slot]
    return own && { exercise: own.exercise, ...(own.variant && { variant: own.variant }) }
  },
  setCell: ({ slots }, { slot, phase, row, group, field }) =>
    fieldOf(
      slots[slot]?.rows[phase]?.[row]?.find(({ id }) => id === group),
      field,
    ),
  setRow: ({ slots }, { slot, phase, row }) => slots[slot]?.rows[phase]?.[row],
  setSlot: ({ slots }, { slot }) => slots[slot],
  setRule({ progressions }, { progression, stage }) {
    const own = progressions[progression]?.stages.find(({ id }) => id === stage)
    return own && { rule: own.rule, params: own.params }
  },
  setTrack: ({ tracks }, { track }) => tracks[track] ?? null,
  setChange: ({ tracks }, { track, change }) =>
    tracks[track] && (tracks[track].changes.find(({ id }) => id === change) ?? null),
  movePhase({ phases }, { phase }) {
    const at = phases.findIndex(({ id }) => id === phase)
    return at < 0 ? undefined : (phases[at - 1]?.id ?? null)
  },
  setParams: ({ progressions }, { progression, stage }) =>
    progressions[progression]?.stages.find(({ id }) => id === stage)?.params,
  setProgression: ({ progressions }, { progression }) => progressions[progression] ?? null,
  setTrackName: ({ tracks }, { track }) => tracks[track]?.name,
}

const fieldOf = <T extends object>(thing: T | undefined, field: keyof T): unknown =>
  thing && (thing[field] ?? null)

type Moves = { [K in Command['do']]?: (draft: Template, command: Of<K>) => Of<K> | null }

/** Commands that put something into a place or take it out, with the place as it is now; null where that is gone. */
const moved: Moves = {
  addSlot(draft, command) {
    const at = placeIn(draft, command)
    return at && !draft.slots[command.slot] ? { ...command, ...at } : null
  },
  removeSlot(draft, command) {
    const [value, at] = [draft.slots[command.slot], spotOf(draft, command.slot)]
    return value && at ? { ...command, ...at, value } : null
  },
  moveSlot(draft, command) {
    if (!draft.slots[command.slot]) return null
    const from = spotOf(draft, command.slot)
    if (!command.to) return { ...command, from }
    const to = placeIn(draft, command.to, command.slot)
    return to && { ...command, from, to }
  },
  addPhase({ phases }, command) {
    const isThere = command.after === null || phases.some(({ id }) => id === command.after)
    return isThere ? command : { ...command, after: phases.at(-1)?.id ?? null }
  },
}

/** Behind the same slot as it was meant, or else last in its part, or last of all; null where the session is gone. */
function placeIn(
  { sessions }: Template,
  { session: id, part, after }: { session: Id; part?: string; after: Id },
  slot?: Id,
): Spot | null {
  const parts = sessions[id]?.parts
  const own =
    parts?.find(({ slots }) => slots.includes(after)) ??
    parts?.find(({ name }) => name === part) ??
    parts?.at(-1)
  if (!own) return null
  const others = own.slots.filter((one) => one !== slot)
  const isThere = after === '' || others.includes(after)
  return { session: id, part: own.name, after: isThere ? after : (others.at(-1) ?? '') }
}

/**
 * The same command against what stands now, where somebody has changed its value or its place since: each of several against what those
 * before it leave. Null where it has no place any more, or where it is not told what of theirs it would write over.
 */
export function renewCommand(draft: Template, command: Command): Command | null {
  const renewed = command.do === 'several' ? renewAll(draft, command) : renewOne(draft, command)
  return renewed && !isConflict(applyCommand(draft, renewed)) ? renewed : null
}

function renewAll(draft: Template, several: Of<'several'>): Command | null {
  const commands: Command[] = []
  let now = draft
  for (const one of several.commands) {
    const renewed = renewCommand(now, one)
    const next = renewed && applyCommand(now, renewed)
    if (!renewed || !next || isConflict(next)) return null
    commands.push(renewed)
    now = next
  }
  return { ...several, commands }
}

function renewOne(draft: Template, command: Command): Command | null {
  const move = moved[command.do] as ((draft: Template, command: Command) => Command | null) | undefined
  if (move) return move(draft, command)
  const get = now[command.do] as ((draft: Template, command: Command) => unknown) | undefined
  if (!get) return isConflict(applyCommand(draft, command)) ? null : command
  const from = get(draft, command)
  return from === undefined ? null : ({ ...command, from } as Command)
}
