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
  examples: [
    {
      say: 'seven, as it happens',
      goal: { open: 'reps' },
      cell: 'any reps',
      done: [{ reps: 7 }],
      meets: true,
    },
    {
      say: 'a minute',
      goal: { open: 's' },
      cell: 'any time',
      done: [{ amount: { value: 60, unit: 's' } }],
      meets: true,
    },
    { say: 'nothing is not enough', goal: { open: 'm' }, cell: 'any m', done: [{}], meets: false },
  ],
})

/** What may be counted of a set. */
export const counts: readonly ('reps' | AmountUnit)[] = ['reps', ...amountUnits]

export const nameOfCount = (what: 'reps' | AmountUnit): string => (what === 's' ? 'time' : what)
export const countNamed = (typed: string): 'reps' | AmountUnit | null =>
  counts.find((one) => nameOfCount(one) === typed) ?? null
