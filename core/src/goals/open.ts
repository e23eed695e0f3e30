import { amountUnits, type AmountUnit } from '../units/index.ts'
import { defineGoal } from './goal.ts'

type Open = { open: 'reps' | AmountUnit }

/** What is done is the member's to decide, and is logged: whatever it is, it is enough. */
export const open = defineGoal<Open>({
  key: 'open',
  title: 'As the member decides',
  cell: ({ open: what }) => `any ${nameOfCount(what)}`,
  read(typed) {
    const [, what] = /^any (\w+)$/.exec(typed) ?? []
    const counted = what === undefined ? null : countNamed(what)
    return counted && { open: counted }
  },
  reps: () => null,
  logs: ({ open: what }) => what,
  meets: (_, { reps = 0, amount }) => reps > 0 || (amount?.value ?? 0) > 0,
  seconds: () => null,
})

/** What may be counted of a set. */
export const counts: readonly ('reps' | AmountUnit)[] = ['reps', ...amountUnits]

export const nameOfCount = (what: 'reps' | AmountUnit): string => (what === 's' ? 'time' : what)
export const countNamed = (typed: string): 'reps' | AmountUnit | null =>
  counts.find((one) => nameOfCount(one) === typed) ?? null
