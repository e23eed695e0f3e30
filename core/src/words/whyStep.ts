import { formatDay, formatLoad, formatNumber, isDay, type Load } from '../units/index.ts'

/** One step on the way from a max to the load on the bar: data, with the sentence rendered late. */
export type WhyStep = { id: string; data: Record<string, Value> }
export type Value = string | number | Load

/** Sentences by id, `{name}` standing for a value of the data. */
export type Messages = Record<string, string>

/** Fills a sentence: loads with unit, days written out, numbers with at most two decimals. An unknown name throws. */
export function fill(sentence: string, data: WhyStep['data']): string {
  const filled = sentence.replace(/\{(\w+)\}/g, (_, name: string) => {
    const value = data[name]
    if (value === undefined) throw new Error(`missing "${name}" for the sentence "${sentence}"`)
    return show(value)
  })
  return filled.replace(ofOne, '1 $1')
}

/** One of a thing that a sentence counts in the plural. */
const ofOne = /(?<![\d.,−])1 (set|rep|week|session|exercise|slot|hit|day|point|position)s\b/g

function show(value: Value): string {
  if (typeof value === 'number') return formatNumber(value)
  if (typeof value === 'object') return formatLoad(value)
  return isDay(value) ? formatDay(value) : value
}
