import { setCells } from '@young-oak/core/editing'
import type { Library } from '@young-oak/core/library'
import {
  cellNames,
  detailFields,
  detailsSaid,
  formatCell,
  parseCell,
  sayWarmUp,
  type Command,
  type SetPrescription,
  type Slot,
  type SlotWarmUp,
  type Template,
} from '@young-oak/core/template'
import type { Faults, Read } from '../../../app/draftResolver.ts'
import { choiceOf, listedText, warmUpOf, type WarmUpChoice } from './warmUpChoice.ts'

type DetailField = (typeof detailFields)[number]

/** The details of a slot's lines as they are typed, line by line; the warm-up before it; and whether all weeks of the phase change. */
export type DetailsDraft = { lines: Record<DetailField, string>[]; warmUp: SlotChoice; isForAll: boolean }

export const detailsOf = (library: Library, slot: Slot, lines: SetPrescription[]): DetailsDraft => ({
  lines: lines.map(
    (line) =>
      Object.fromEntries(detailFields.map((field) => [field, formatCell(library, field, line)])) as Record<
        DetailField,
        string
      >,
  ),
  warmUp: slotChoice(slot),
  isForAll: true,
})

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

/** Where the details stand: a slot, a phase, and the week's row. */
export type DetailsAt = { slotId: string; phase: string; row: number }

/** What was typed, as commands; or what is wrong with it, field by field. */
export function readDetails(
  library: Library,
  draft: Template,
  { slotId, phase, row }: DetailsAt,
  { lines: typed, warmUp, isForAll }: DetailsDraft,
): Read<{ commands: Command[] }> {
  const slot = draft.slots[slotId]
  const faults: Faults = {}
  if (!slot) return { value: { commands: [] } }
  const rows = isForAll ? (slot.rows[phase] ?? []).map((_, i) => i) : [row]
  const commands = (slot.rows[phase]?.[row] ?? []).flatMap((line, i) => {
    const cells = typed[i]
    if (cells?.stop.trim() && !cells.least.trim()) faults[`lines.${i}.least`] = 'Enter the fewest sets.'
    return detailFields.flatMap((field): Command[] => {
      const text = cells?.[field] ?? ''
      if (text === formatCell(library, field, line)) return []
      const parsed = parseCell(library, field, text, line, slot, draft)
      if (parsed.error === undefined)
        return setCells(draft, { slot: slotId, phase, rows, prescription: line.id }, field, parsed.value)
      faults[`lines.${i}.${field}`] = parsed.error
      return []
    })
  })
  if (Object.keys(faults).length) return { faults }
  if (warmUp !== slotChoice(slot))
    commands.push({
      do: 'setWarmUp',
      slot: slotId,
      from: slot.warmUp ?? null,
      to: slotWarmUp(warmUp, draft),
    })
  return { value: { commands } }
}

/** "Details: tempo 31X0; each side", or null where every detail is as usual. */
export function sayDetails(library: Library, slot: Slot, phase: string, row: number): string | null {
  const said = (slot.rows[phase]?.[row] ?? []).flatMap((line) =>
    detailsSaid(library, line).map(({ field, text }) =>
      text === 'yes' ? cellNames[field] : `${cellNames[field]} ${text}`,
    ),
  )
  if (slot.warmUp !== undefined)
    said.push(`warm-up: ${sayWarmUp(slot.warmUp === 'none' ? undefined : slot.warmUp).replace(/\.$/, '')}`)
  return said.length ? `Details: ${[...new Set(said)].join('; ')}` : null
}
