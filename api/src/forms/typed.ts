import { number, type NumberSchema } from 'yup'
import { typedNumber } from '@young-oak/core/units'

/** Fields that are typed as text and read as numbers, with a decimal comma or point; nothing typed is undefined. */
export const typed = (message: string): NumberSchema<number | undefined> =>
  number()
    .transform((_, given: unknown) => (typeof given === 'string' ? typedNumber(given) : given))
    .typeError(message)

/** A whole number in a range that must be typed. */
export const typedWhole = (message: string, from: number, to: number) =>
  typed(message).integer(message).min(from, message).max(to, message)
