import { formatNumber, snap } from '../units/index.ts'

/** More loads than any rack of dumbbells or stack has. */
const most = 200

/**
 * Loads as a person writes them: single ones, and runs of equal steps: "2-20 by 2, 22.5, 25" is 2, 4 … 20, 22.5, 25. Ascending,
 * each once; null where it says something else.
 */
export function parseLoadList(text: string): number[] | null {
  const loads = new Set<number>()
  for (const piece of text.split(/[;\n]|,(?!\d)|,(?=\d+(?:[.,]\d+)?\s*(?:,|-|–|$))/)) {
    if (!piece.trim()) continue
    const run = /^\s*([\d.,]+)\s*[-–]\s*([\d.,]+)\s*by\s*([\d.,]+)\s*$/.exec(piece)
    const [from = NaN, to = NaN, by = 1] = (run ? run.slice(1) : [piece, piece, '1']).map(numberOf)
    if (!(from > 0 && to >= from && by > 0) || (to - from) / by > most) return null
    for (let load = from; load <= to + 0.0001; load = snap(load + by)) loads.add(snap(load))
  }
  return loads.size && loads.size <= most ? [...loads].sort((a, b) => a - b) : null
}

const numberOf = (text: string): number => {
  const plain = text.trim().replace(',', '.')
  return /^\d+(\.\d+)?$/.test(plain) ? Number(plain) : NaN
}

/** The shortest way to write such a list: three or more in equal steps are a run. */
export function formatLoadList(loads: number[]): string {
  const pieces: string[] = []
  for (let i = 0; i < loads.length;) {
    const by = snap((loads[i + 1] ?? NaN) - (loads[i] as number))
    let end = i + 1
    while (end < loads.length && snap((loads[end] as number) - (loads[end - 1] as number)) === by) end++
    if (end - i >= 3) {
      pieces.push(
        `${formatNumber(loads[i] as number)}-${formatNumber(loads[end - 1] as number)} by ${formatNumber(by)}`,
      )
      i = end
    } else pieces.push(formatNumber(loads[i++] as number))
  }
  return pieces.join('; ')
}
