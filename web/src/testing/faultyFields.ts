import { ValidationError, type Schema } from 'yup'

/** For tests: the fields that a schema finds wrong, each once, in its order. */
export function faultyFields(schema: Schema, given: unknown): string[] {
  try {
    schema.validateSync(given, { abortEarly: false })
    return []
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return [...new Set(error.inner.map(({ path }) => path ?? ''))]
  }
}
