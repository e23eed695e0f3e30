import { spanField, strictObject } from '../../parsing/index.ts'

export const seconds = strictObject({ seconds: spanField('seconds', 7200).required() })
