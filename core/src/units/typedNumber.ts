/** What was typed as a number, with a decimal comma or point: undefined where nothing was, the text itself where it is none. */
export function typedNumber(text: string): number | string | undefined {
  const trimmed = text.trim()
  if (trimmed === '') return undefined
  const value = Number(trimmed.replace(',', '.'))
  return Number.isNaN(value) ? trimmed : value
}
