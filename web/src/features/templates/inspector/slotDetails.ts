import { setCells } from '@young-oak/core/editing'
import type { Library } from '@young-oak/core/library'
import {
  cellNames,
  detailFields,
  formatCell,
  parseCell,
  sayWarmUp,
  type Command,
  type SetPrescription,
  type Slot,
  type SlotWarmUp,
  type Template,
} from '@young-oak/core/template'
import { choiceOf, listedText, warmUpOf, type WarmUpChoice } from './warmUpChoice.ts'

/** The details of the lines of a slot as they are typed, by line and field. */
export type TypedDetails = Record<string, string>

export const keyOf = (line: string, field: string): string => `${line}/${field}`

export const detailsOf = (library: Library, lines: SetPrescription[]): TypedDetails =>
  Object.fromEntries(
    lines.flatMap((line) =>
      detailFields.map((field) => [keyOf(line.id, field), formatCell(library, field, line)]),
    ),
  )

export type SlotChoice = WarmUpChoice | 'template'

export const slotChoice = ({ warmUp }: Slot): SlotChoice => {
  if (warmUp === undefined) return 'template'
  return choiceOf(warmUp === 'none' ? undefined : warmUp)
}

/** Warm-up sets of a slot's own begin as the template's, or as the usual ones. */
function slotWarmUp(choice: SlotChoice, { warmUp }: Template): SlotWarmUp {
  if (choice === 'template') return null
  return warmUpOf(choice, listedText(warmUp)) ?? 'none'
}

/** Where the details stand: a slot, a phase, and the week's row, or all rows of the phase. */
export type DetailsAt = { slotId: string; phase: string; row: number; isForAll: boolean }

/** What was typed, as commands; or what is wrong with it, field by field. */
export function readDetails(
  library: Library,
  draft: Template,
  { slotId, phase, row, isForAll }: DetailsAt,
  typed: TypedDetails,
  warmUp: SlotChoice,
): { commands: Command[]; faults: TypedDetails } {
  const slot = draft.slots[slotId]
  const lines = slot?.rows[phase]?.[row] ?? []
  if (!slot) return { commands: [], faults: {} }
  const faults: TypedDetails = {}
  const rows = isForAll ? (slot.rows[phase] ?? []).map((_, i) => i) : [row]
  const commands = lines.flatMap((line) =>
    detailFields.flatMap((field): Command[] => {
      const text = typed[keyOf(line.id, field)] ?? ''
      if (text === formatCell(library, field, line)) return []
      const parsed = parseCell(library, field, text, line, slot, draft)
      if (parsed.error === undefined)
        return setCells(draft, { slot: slotId, phase, rows, prescription: line.id }, field, parsed.value)
      faults[keyOf(line.id, field)] = parsed.error
      return []
    }),
  )
  for (const { id } of lines) {
    const has = (field: string) => (typed[keyOf(id, field)] ?? '').trim() !== ''
    if (has('least') && !has('stop')) faults[keyOf(id, 'stop')] = 'Enter what ends the sets.'
  }
  if (warmUp !== slotChoice(slot))
    commands.push({
      do: 'setWarmUp',
      slot: slotId,
      from: slot.warmUp ?? null,
      to: slotWarmUp(warmUp, draft),
    })
  return { commands, faults }
}

/** "Details: tempo 31X0; each side", or null where every detail is as usual. */
export function sayDetails(library: Library, slot: Slot, phase: string, row: number): string | null {
  const said = (slot.rows[phase]?.[row] ?? []).flatMap((line) =>
    detailFields.flatMap((field) => {
      const value = formatCell(library, field, line)
      if (!value) return []
      return value === 'yes' ? cellNames[field] : `${cellNames[field]} ${value}`
    }),
  )
  if (slot.warmUp !== undefined)
    said.push(`warm-up: ${sayWarmUp(slot.warmUp === 'none' ? undefined : slot.warmUp).replace(/\.$/, '')}`)
  return said.length ? `Details: ${[...new Set(said)].join('; ')}` : null
}
