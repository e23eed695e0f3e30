/** One fault of a file or a form, located: where it is, what was expected, what came, and how to mend it. */
export type Issue = { path: string; expected: string; got: string; fix?: string }

/** Reading goes on to this many faults, then stops. */
export const mostIssues = 100

/** "slots.a-squat.rows.base[0][1].load.percent: expected a percent above 0, at most 150; got 400. Lower it." */
export function formatIssue({ path, expected, got, fix }: Issue): string {
  return `${path || 'the file'}: expected ${expected}; got ${got}.${fix ? ` ${fix}` : ''}`
}

/** A value as it is quoted in an error: short, on one line. */
export function quote(value: unknown): string {
  if (value === undefined) return 'nothing'
  if (Array.isArray(value)) return `a list of ${value.length}`
  if (typeof value === 'number') return String(value)
  const text = JSON.stringify(value) ?? typeof value
  return text.length > 60 ? `${text.slice(0, 57)}...` : text
}

/** Joins a place and a key: `sessions` + `a` is `sessions.a`, `phases` + 0 is `phases[0]`. */
export function at(path: string, key: string | number): string {
  if (typeof key === 'number') return `${path}[${key}]`
  return path ? `${path}.${key}` : key
}
