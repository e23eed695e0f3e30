import { object, string, type InferType } from 'yup'
import { typedWhole } from './typed.ts'

/** An empty template: what it is called, and how long it is. */
export const newTemplateSchema = object({
  name: string().trim().required('Enter a name.').max(120, 'At most 120 characters.'),
  weeks: typedWhole('1 to 60.', 1, 60).required('1 to 60.'),
  days: typedWhole('1 to 12.', 1, 12).required('1 to 12.'),
})
export type NewTemplate = InferType<typeof newTemplateSchema>
