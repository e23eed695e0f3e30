import { exerciseIds, type Library } from '../library/index.ts'
import { reach, ValidationError, type ObjectSchema, type Schema } from 'yup'
import { fixForName } from './nearest.ts'
import { at, mostIssues, quote, type Issue } from './issue.ts'

/**
 * Collects the faults of one file. Values are checked piece by piece, so that a large bad file costs little: after 100
 * faults nothing more is checked, and `isFull` says so.
 */
export class Checker {
  readonly issues: Issue[] = []

  /** `library` holds the exercises that the file may name beside those that everybody has; reading may add what it declares. */
  constructor(public library: Library) {}

  get isFull(): boolean {
    return this.issues.length >= mostIssues
  }

  /** A value may fail two tests of one expectation: that is one fault. */
  add(path: string, expected: string, value: unknown, fix?: string): void {
    const last = this.issues[this.issues.length - 1]
    if (last?.path === path && last.expected === expected) return
    if (!this.isFull) this.issues.push({ path, expected, got: quote(value), ...(fix && { fix }) })
  }

  /** The value when it fits the schema, else undefined with the faults noted. */
  check<T>(schema: Schema<T>, value: unknown, path: string): T | undefined {
    if (this.isFull) return undefined
    try {
      return schema.validateSync(value, {
        abortEarly: false,
        strict: true,
        context: { library: this.library },
      })
    } catch (error) {
      if (!ValidationError.isError(error)) throw error
      for (const inner of error.inner.length ? error.inner : [error]) this.note(schema, inner, value, path)
      return undefined
    }
  }

  /** A map by id, as its entries; anything else is one fault. */
  entries(value: unknown, path: string, expected: string): [string, unknown][] {
    if (typeof value === 'object' && value !== null && !Array.isArray(value)) return Object.entries(value)
    this.add(path, expected, value)
    return []
  }

  /** A list of at most so many; anything else is one fault. */
  list(value: unknown, path: string, most: number): unknown[] {
    if (Array.isArray(value) && value.length <= most) return value
    this.add(path, `a list of at most ${most}`, value)
    return []
  }

  private note(schema: Schema, error: ValidationError, root: unknown, path: string): void {
    const inside = error.path ?? ''
    const place = inside ? (inside.startsWith('[') ? path + inside : at(path, inside)) : path
    const piece = inside ? (reach(schema, inside) as Schema) : schema
    if (error.type === 'noUnknown') return this.noteUnknown(error, piece, place)
    const value = error.params && 'originalValue' in error.params ? error.params.originalValue : error.value
    const own = typeof error.message === 'string' && error.type === 'fits' ? error.message : undefined
    const fix = value === undefined ? 'Add it.' : this.fixFor(error.type, value, piece)
    this.add(place, own ?? expectation(piece), inside ? value : root, fix)
  }

  /** What was most likely meant by a word that is none of those that there are. */
  private fixFor(type: string | undefined, value: unknown, piece: Schema): string | undefined {
    if (type === 'exercise')
      return (
        fixForName(value, [...exerciseIds, ...Object.keys(this.library)]) ??
        'docs/reference.md lists the exercises.'
      )
    return type === 'oneOf' ? fixForName(value, piece.describe().oneOf.map(String)) : undefined
  }

  private noteUnknown(error: ValidationError, piece: Schema, place: string): void {
    const known = Object.keys((piece as ObjectSchema<object>).fields)
    for (const key of String(error.params?.unknown).split(', ')) {
      const fix = fixForName(key, known) ?? 'Remove it or correct its spelling.'
      this.add(at(place, key), `one of the keys ${known.join(', ')}`, key, fix)
    }
  }
}

function expectation(schema: Schema): string {
  const { meta } = schema.spec
  return (
    (meta as { expected?: string } | undefined)?.expected ??
    (schema.type === 'object' ? 'an object' : `a ${schema.type}`)
  )
}
