import { fieldIn } from '../../../parsing/index.ts'
import { templateFrom1 } from './template1.ts'

/** The format that templates are written in today. */
export const templateFormat = 2

/** How a template of each earlier format is brought to the next one. */
const steps: Record<number, (file: unknown) => unknown> = { 1: templateFrom1 }

/** A template of any earlier format in today's; what says another number, or none, comes back as it is. */
export function upgradeTemplate(file: unknown): unknown {
  const format = fieldIn(file, 'format')
  const step = typeof format === 'number' && Object.hasOwn(steps, format) ? steps[format] : undefined
  return step ? upgradeTemplate(step(file)) : file
}
