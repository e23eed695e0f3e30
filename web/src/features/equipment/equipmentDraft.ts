import { formatLoadList, parseLoadList, formatIssue } from '@young-oak/core/parsing'
import type { ExerciseId, Library } from '@young-oak/core/library'
import { readEquipment, type EquipmentBody } from '@young-oak/core/facts'
import {
  fixedTools,
  formatNumber,
  specialBars,
  usualRack,
  type Fixed,
  type FixedTool,
  type Rack,
  type SpecialBar,
  type Unit,
  typedNumber,
} from '@young-oak/core/units'

/** What one unit of a place is typed as: numbers and lists as text, until they are read. */
export type UnitDraft = {
  bar: string
  bars: string
  special: Record<SpecialBar, string>
  plates: { weight: string; pairs: string }[]
  fixed: Record<FixedTool, string>
  machines: { exercise: ExerciseId; loads: string }[]
}
export type EquipmentDraft = Partial<Record<Unit, UnitDraft>>

export const emptyUnit = (unit: Unit): UnitDraft => unitDraft(usualRack[unit], [])

export function draftOf(has: EquipmentBody | null): EquipmentDraft {
  if (!has) return { kg: emptyUnit('kg') }
  return Object.fromEntries(has.racks.map((rack) => [rack.unit, unitDraft(rack, has.fixed ?? [])]))
}

function unitDraft(rack: Rack, fixed: Fixed[]): UnitDraft {
  const own = fixed.filter(({ unit }) => unit === rack.unit)
  const loadsOf = (tool: FixedTool) =>
    own.find((one) => one.tool === tool && one.exercise === undefined)?.loads ?? []
  return {
    bar: formatNumber(rack.bar),
    bars: formatLoadList(rack.bars ?? []),
    special: Object.fromEntries(
      specialBars.map((bar) => [
        bar,
        rack.special?.[bar] === undefined ? '' : formatNumber(rack.special[bar]),
      ]),
    ) as UnitDraft['special'],
    plates: rack.plates.map(({ weight, pairs }) => ({ weight: formatNumber(weight), pairs: String(pairs) })),
    fixed: Object.fromEntries(
      fixedTools.map((tool) => [tool, formatLoadList(loadsOf(tool))]),
    ) as UnitDraft['fixed'],
    machines: own.flatMap(({ exercise, loads }) =>
      exercise === undefined ? [] : [{ exercise: exercise as ExerciseId, loads: formatLoadList(loads) }],
    ),
  }
}

export type ReadDraft = { has?: EquipmentBody; faults: string[] }

/** What was typed as equipment, or what is wrong with it, in words that name the place. */
export function readDraft(library: Library, draft: EquipmentDraft): ReadDraft {
  const faults: string[] = []
  const racks: Rack[] = []
  const fixed: Fixed[] = []
  const list = (text: string, what: string): number[] => {
    if (!text.trim()) return []
    const loads = parseLoadList(text)
    if (!loads) faults.push(`${what}: loads like 2-20 by 2; 22.5; 25, not "${text.trim()}".`)
    return loads ?? []
  }
  for (const [unit, one] of Object.entries(draft) as [Unit, UnitDraft][]) {
    const bars = list(one.bars, `Other bars, ${unit}`)
    const special = Object.fromEntries(
      specialBars.flatMap((bar) => (one.special[bar].trim() ? [[bar, typedNumber(one.special[bar])]] : [])),
    )
    racks.push({
      unit,
      bar: typedNumber(one.bar) as number,
      ...(bars.length && { bars }),
      ...(Object.keys(special).length && { special }),
      plates: one.plates
        .filter(({ weight }) => weight.trim())
        .map(({ weight, pairs }) => ({
          weight: typedNumber(weight) as number,
          pairs: typedNumber(pairs) as number,
        })),
    })
    for (const tool of fixedTools) {
      const loads = list(one.fixed[tool], `${toolNames[tool]}, ${unit}`)
      if (loads.length) fixed.push({ tool, unit, loads })
    }
    for (const { exercise, loads: text } of one.machines) {
      const loads = list(text, `Its own stack, ${unit}`)
      if (loads.length) fixed.push({ tool: 'machine', exercise, unit, loads })
    }
  }
  if (faults.length) return { faults }
  const { equipment, issues } = readEquipment(library, { racks, ...(fixed.length && { fixed }) })
  return equipment ? { has: equipment, faults } : { faults: issues.map(sayIssue) }
}

/** "Plate 3, weight: …" for the fault of a form that nobody sees as a file. */
const sayIssue = (issue: Parameters<typeof formatIssue>[0]): string => {
  const plate = /^racks\[\d\]\.plates\[(\d+)\]\.(\w+)$/.exec(issue.path)
  const path = plate
    ? `Plate ${Number(plate[1]) + 1}, ${plate[2]}`
    : issue.path.replace(/^racks\[\d\]\.?/, '').replace(/^bar$/, 'The bar') || 'Equipment'
  return formatIssue({ ...issue, path })
}

export const toolNames: Record<FixedTool, string> = {
  dumbbells: 'Dumbbells, one hand',
  machine: 'Stacks and cables',
  assistance: 'Assistance machine',
}
