import type { Template } from '../types.ts'
import type { Command, Of } from './command.ts'

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
  setParams: ({ progressions }, { progression, stage }) =>
    progressions[progression]?.stages.find(({ id }) => id === stage)?.params,
  setProgression: ({ progressions }, { progression }) => progressions[progression] ?? null,
  setTrackName: ({ tracks }, { track }) => tracks[track]?.name,
}

const fieldOf = <T extends object>(thing: T | undefined, field: keyof T): unknown =>
  thing && (thing[field] ?? null)

/**
 * The same command against what stands now, where somebody has changed its value since; null where its place is gone, or where more
 * than one value would be written over.
 */
export function renewCommand(draft: Template, command: Command): Command | null {
  if (command.do === 'several') {
    const commands = command.commands.map((one) => renewCommand(draft, one))
    return commands.every((one) => one !== null) ? { ...command, commands } : null
  }
  const get = now[command.do] as ((draft: Template, command: Command) => unknown) | undefined
  const from = get?.(draft, command)
  return from === undefined ? null : ({ ...command, from } as Command)
}
