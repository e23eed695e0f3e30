import { at } from '../../parsing/index.ts'
import { readWarmUp } from '../read/read.ts'
import { headShape } from '../read/shape.ts'
import { findSlotEnds } from '../read/slotEnds.ts'
import type { Template } from '../types.ts'
import { changed, defineCommand, fromNow, swapped } from './command.ts'
import { capital, same, withField } from './values.ts'

/** What a template says for all of its slots. */
export type HeadField = keyof typeof fieldNames
export type Head = Template[HeadField] | null

const fieldNames = {
  trainingMax: 'the training max',
  maxes: 'which max is read',
  rounding: 'the rounding',
  deloadRounding: 'the rounding in deloads',
  testRounding: 'the rounding of tests',
  warmUp: 'the warm-up',
  missed: 'what happens with missed weeks',
  away: 'the return after weeks away',
  deloadPolicy: 'the deload policy',
  tempoX: 'the seconds of an X in a tempo',
  note: 'the note',
  later: 'the phases still to be written',
} satisfies Partial<Record<keyof Template, string>>

export const setHead = defineCommand<{ do: 'setHead'; field: HeadField; from: Head; to: Head }>({
  do: 'setHead',
  apply(draft, { field, from, to }) {
    if (!same(draft[field] ?? null, from)) return changed(capital(fieldNames[field]), draft[field])
    return withField<Template>(draft, field, to)
  },
  check(checker, draft, { field, to }) {
    if (!Object.hasOwn(fieldNames, field))
      return checker.add('field', `one of ${Object.keys(fieldNames).join(', ')}`, field)
    if (to === null && (field === 'maxes' || field === 'rounding' || field === 'missed'))
      return checker.add(field, 'a value', to)
    if (to !== null && field === 'warmUp') return void readWarmUp(checker, to, field)
    if (to !== null) checker.check(headShape.pick([field]), { [field]: to }, '')
    if (field !== 'trainingMax' || to !== null) return
    const { trainingMax: _, ...without } = draft
    for (const [id, slot] of Object.entries(draft.slots))
      findSlotEnds(checker, without, slot, at('slots', id))
  },
  say: (_library, _draft, { field, to }) =>
    `${capital(fieldNames[field])}${to === null ? ' removed' : ' changed'}`,
  inverse: swapped,
  renew: fromNow((draft, { field }) => draft[field] ?? null),
})
