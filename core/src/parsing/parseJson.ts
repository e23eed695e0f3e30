import { quote, type Issue } from './issue.ts'

/** Largest file that is read, in bytes of UTF-8 at the worst: 2 MB. */
export const mostCharacters = 2_000_000

/** JSON text as a value, or the fault: too large, or not JSON, with the place where it stops making sense. */
export function parseJson(text: string): { value: unknown; issue?: undefined } | { issue: Issue } {
  if (text.length > mostCharacters) {
    return {
      issue: { path: '', expected: 'a file of at most 2 MB', got: `${Math.ceil(text.length / 1e6)} MB` },
    }
  }
  try {
    return { value: JSON.parse(text) as unknown }
  } catch (error) {
    const said = error instanceof Error ? error.message : ''
    const position = Number(/position (\d+)/.exec(said)?.[1] ?? NaN)
    const line = Number.isNaN(position) ? '' : `line ${text.slice(0, position).split('\n').length}`
    const got = Number.isNaN(position) ? said || 'something else' : quote(text.slice(position, position + 20))
    return {
      issue: { path: line, expected: 'JSON', got, fix: 'Look for a missing comma, quote or bracket.' },
    }
  }
}
