import type { Check } from './check.ts'
import * as checks from './kinds.ts'

export type CheckKind = keyof typeof checks

export const checkOf = checks as Record<CheckKind, Check>

/** In the order in which findings are told. */
export const checkKinds = [
  'notCleared',
  'datedAhead',
  'strayLog',
  'doubtfulLog',
  'bodyWeightMax',
  'assumedEquipment',
  'oldMax',
  'gearReplaced',
  'beyondMax',
  'testDay',
  'goneTrack',
  'topSetGone',
  'goneTarget',
  'loadByDay',
  'loneSuperset',
  'otherMuscle',
  'capsHold',
  'fewDays',
  'overMinutes',
] as const satisfies CheckKind[]
