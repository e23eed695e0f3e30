/** One number, or any from one to another. */
export type Span = number | { from: number; to: number }

export const lowest = (span: Span): number => (typeof span === 'number' ? span : span.from)
export const highest = (span: Span): number => (typeof span === 'number' ? span : span.to)

/** "5", "8-10". */
export const formatSpan = (span: Span): string =>
  typeof span === 'number' ? String(span) : `${span.from}-${span.to}`
