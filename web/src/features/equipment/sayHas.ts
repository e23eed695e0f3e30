import type { EquipmentBody } from '@young-oak/core/facts'
import { formatLoad, makeable } from '@young-oak/core/units'

/** "kg: 20 kg bar, to 245 kg; dumbbells", or that nothing is listed. */
export function sayHas(has: EquipmentBody | null): string {
  if (!has) return 'nothing listed: the usual bar and plates are assumed'
  const bars = has.racks.map((rack) => {
    const most = makeable(rack).loads.at(-1) ?? rack.bar
    return `${formatLoad({ value: rack.bar, unit: rack.unit })} bar, up to ${formatLoad({ value: most, unit: rack.unit })}`
  })
  const tools = [...new Set((has.fixed ?? []).map(({ tool }) => toolWords[tool]))]
  return [...bars, ...tools].join('; ')
}

const toolWords = { dumbbells: 'dumbbells', machine: 'stacks', assistance: 'an assistance machine' }
