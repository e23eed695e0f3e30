import { formatNumber } from '../units/index.ts'
import { percentField, strictObject } from '../parsing/index.ts'

/** A percentage, or one from so much to so much: the member chooses within it. */
export type Band = { percent: number; to?: number }

export const bandParams = () =>
  strictObject({
    percent: percentField().required(),
    to: percentField().meta({ expected: 'the most percent of a band, above "percent", at most 150' }),
  }).test('fits', '"to" above "percent"', ({ percent, to }) => to === undefined || to > percent)

/** "75%", "80-85%". */
export const formatBand = ({ percent, to }: Band): string =>
  to === undefined ? `${formatNumber(percent)}%` : `${formatNumber(percent)}-${formatNumber(to)}%`

/** "82,5%", "80-85 %" or "80% to 85%" before what follows it, or null. */
export function bandBefore(typed: string, after: RegExp): Band | null {
  const match = /^(\d+(?:[.,]\d+)?)\s*%?\s*(?:(?:-|–|to)\s*(\d+(?:[.,]\d+)?)\s*)?%?\s*(.*)$/.exec(typed)
  if (!match || !after.test(match[3] ?? '')) return null
  const number = (text: string) => Number(text.replace(',', '.'))
  const percent = number(match[1] ?? '')
  return match[2] === undefined ? { percent } : { percent, to: number(match[2]) }
}

/** The most that is stated. */
export const mostOf = ({ percent, to = percent }: Band): number => to
