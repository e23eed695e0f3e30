import { ValidationError, type Schema } from 'yup'

/** What is wrong with a value, by place (`rule[0].days`); what is said of the whole stands under ''. */
export function faultsOf(schema: Schema, value: unknown): Record<string, string> {
  try {
    schema.validateSync(value, { strict: true, abortEarly: false })
    return {}
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    const all = error.inner.length ? error.inner : [error]
    return Object.fromEntries(all.map(({ path, message }) => [path ?? '', message]))
  }
}
