import { choiceField, strictObject } from '../../parsing/index.ts'
import { counts } from '../open.ts'

export const open = strictObject({ open: choiceField(counts).required() })
