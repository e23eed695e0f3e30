import { factMeanings } from './facts.ts'
import { memberMeanings } from './member.ts'
import { templateMeanings } from './template.ts'

/** What each key of the formats means, by piece; what it takes is read from its shape. */
export const meanings = { ...templateMeanings, ...memberMeanings, ...factMeanings }
