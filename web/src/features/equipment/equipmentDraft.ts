import { formatLoadList, parseLoadList } from '@young-oak/core/parsing'
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
import type { Faults, Read } from '../../app/draftResolver.ts'

/** What one unit of a place is typed as: numbers and lists as text, until they are read. */
export type UnitDraft = {
  bar: string
  bars: string
  special: Record<SpecialBar, string>
  plates: { weight: string; pairs: string }[]
  fixed: Record<FixedTool, string>
  /** Single plates that go on top of the pins of the stacks. */
  onPin: string
  machines: { exercise: ExerciseId; loads: string; onPin: string }[]
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
    onPin: platesText(own.find(({ tool, exercise }) => tool === 'machine' && exercise === undefined)?.plates),
    machines: own.flatMap(({ exercise, loads, plates }) =>
      exercise === undefined
        ? []
        : [
            {
              exercise: exercise as ExerciseId,
              loads: formatLoadList(loads),
              onPin: platesText(plates),
            },
          ],
    ),
  }
}

/** Single plates, each by itself: two of one weight are two. */
const platesText = (plates: number[] = []): string => plates.map(formatNumber).join('; ')

function readPlates(text: string): number[] | null {
  const plates = text
    .split(/[;\s]+/)
    .filter(Boolean)
    .map(typedNumber)
  const isPlate = (one: unknown): one is number => typeof one === 'number' && one >= 0.1 && one <= 20
  return plates.length <= 6 && plates.every(isPlate) ? plates : null
}

const likeLoads = 'Loads like 2-20 by 2; 22.5; 25.'

/** What was typed as equipment, or what is wrong with it, field by field. */
export function readDraft(library: Library, draft: EquipmentDraft): Read<EquipmentBody> {
  const units = (Object.entries(draft) as [Unit, UnitDraft | undefined][]).flatMap(([unit, one]) =>
    one ? [readUnit(unit, one)] : [],
  )
  const faults: Faults = Object.assign({}, ...units.map((unit) => unit.faults))
  if (Object.keys(faults).length) return { faults }
  const fixed = units.flatMap((unit) => unit.fixed)
  const { equipment, issues } = readEquipment(library, {
    racks: units.map(({ rack }) => rack),
    ...(fixed.length && { fixed: fixed.map(({ one }) => one) }),
  })
  if (equipment) return { value: equipment }
  for (const { path, expected } of issues) faults[fieldOf(path, units)] ??= `Expected ${expected}.`
  return { faults }
}

type ReadUnit = {
  unit: Unit
  rack: Rack
  /** Where each plate stands among those that are typed. */
  plates: number[]
  fixed: { field: string; one: Fixed }[]
  faults: Faults
}

function readUnit(unit: Unit, typed: UnitDraft): ReadUnit {
  const faults: Faults = {}
  const list = (text: string, field: string): number[] => {
    const loads = text.trim() ? parseLoadList(text) : []
    if (!loads) faults[field] = likeLoads
    return loads ?? []
  }
  const onPin = (text: string, field: string, pins: number[]): { plates?: number[] } => {
    const plates = readPlates(text)
    if (!plates) faults[field] = 'At most 6 plates, each 0.1 to 20: 1.25; 2.5.'
    else if (plates.length && !pins.length) faults[field] = 'List the pins first.'
    return plates?.length ? { plates } : {}
  }
  const bars = list(typed.bars, `${unit}.bars`)
  const special = Object.fromEntries(
    specialBars.flatMap((bar) => (typed.special[bar].trim() ? [[bar, typedNumber(typed.special[bar])]] : [])),
  )
  const plates = typed.plates.flatMap(({ weight }, i) => (weight.trim() ? [i] : []))
  const tools = fixedTools.map((tool) => {
    const field = `${unit}.fixed.${tool}`
    const loads = list(typed.fixed[tool], field)
    return {
      field,
      one: { tool, unit, loads, ...(tool === 'machine' && onPin(typed.onPin, `${unit}.onPin`, loads)) },
    }
  })
  const machines = typed.machines.map(({ exercise, loads: text, onPin: plates }, i) => {
    const field = `${unit}.machines.${i}.loads`
    const loads = list(text, field)
    const more = onPin(plates, `${unit}.machines.${i}.onPin`, loads)
    return { field, one: { tool: 'machine' as const, exercise, unit, loads, ...more } }
  })
  const rack: Rack = {
    unit,
    bar: typedNumber(typed.bar) as number,
    ...(bars.length && { bars }),
    ...(Object.keys(special).length && { special }),
    plates: plates.map((i) => ({
      weight: typedNumber(typed.plates[i]?.weight ?? '') as number,
      pairs: typedNumber(typed.plates[i]?.pairs ?? '') as number,
    })),
  }
  return { unit, rack, plates, fixed: [...tools, ...machines].filter(({ one }) => one.loads.length), faults }
}

/** The field of the form that a path of the equipment is typed in: "racks[0].plates[2].pairs" is "kg.plates.3.pairs" after an empty line. */
function fieldOf(path: string, units: ReadUnit[]): string {
  const [, list = '', at = '0', rest = ''] = /^(racks|fixed)\[(\d+)\]\.?(.*)$/.exec(path) ?? []
  if (list === 'fixed') return units.flatMap(({ fixed }) => fixed)[Number(at)]?.field ?? 'root'
  const unit = units[Number(at)]
  if (!unit || !list) return 'root'
  const [, plate, key = 'weight'] = /^plates\[(\d+)\](?:\.(\w+))?/.exec(rest) ?? []
  if (plate !== undefined) return `${unit.unit}.plates.${unit.plates[Number(plate)]}.${key}`
  return `${unit.unit}.${rest.replace(/\[.*$/, '')}`
}

export const toolNames: Record<FixedTool, string> = {
  dumbbells: 'Dumbbells, one hand',
  machine: 'Stacks and cables',
  assistance: 'Assistance machine',
}
