import { at } from '../../reading/index.ts'
import { readWarmUp } from '../read.ts'
import { headShape } from '../shape.ts'
import { findSlotEnds } from '../slotEnds.ts'
import type { Template } from '../types.ts'
import { changed, defineCommand, same, withField, type HeadField } from './command.ts'

export const setName = defineCommand<'setName'>({
  apply: (draft, { from, to }) =>
    draft.name === from ? { ...draft, name: to } : changed('The name', draft.name),
  check: (checker, _, { to }) => void checker.check(headShape.pick(['name']), { name: to }, ''),
  say: (_, { to }) => `Name: ${to}`,
})

/** What the template says for all of its slots. */
export const setHead = defineCommand<'setHead'>({
  apply(draft, { field, from, to }) {
    if (!same(draft[field] ?? null, from)) return changed(capital(headNames[field]), draft[field])
    return withField<Template>(draft, field, to)
  },
  check(checker, draft, { field, to }) {
    if (to === null && (field === 'maxes' || field === 'rounding' || field === 'missed'))
      return checker.add(field, 'a value', to)
    if (to !== null && field === 'warmUp') return void readWarmUp(checker, to, field)
    if (to !== null) checker.check(headShape.pick([field]), { [field]: to }, '')
    if (field !== 'trainingMax' || to !== null) return
    const { trainingMax: _, ...without } = draft
    for (const [id, slot] of Object.entries(draft.slots))
      findSlotEnds(checker, without, slot, at('slots', id))
  },
  say: (_, { field, to }) => `${capital(headNames[field])}${to === null ? ' taken away' : ' changed'}`,
})

const headNames: Record<HeadField, string> = {
  trainingMax: 'the training max',
  maxes: 'which max is read',
  rounding: 'the rounding',
  warmUp: 'the warm-up',
  missed: 'what becomes of missed weeks',
  away: 'the way back after weeks away',
  lightPolicy: 'when light weeks come',
  note: 'the note',
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
