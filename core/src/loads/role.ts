import { declareSteps } from '../words/index.ts'
import { percentField, strictObject, textField } from '../parsing/index.ts'
import { formatNumber } from '../units/index.ts'
import { defineSource, percentBefore } from './source.ts'

const say = declareSteps({
  'role.thisWeek': 'this week’s {role} day, on {date}: {load}',
  'role.ahead': 'this week’s {role} day, if it is trained as asked: {load}',
  'role.last': 'no {role} day was trained this week: the last one, in week {week} on {date}, was {load}',
  'role.lastAhead':
    'no {role} day comes before this one in the week: the last one, in week {week}, is {load}',
  'role.percent': '{percent}% of that load',
})

/** A word by itself, but none that says something else of a load or of sets. */
const roleName =
  /^(?!(?:tm|rule|top|bw|until|rest|round|tempo|style|bands|fixed|each|per|past|or|then|as|at|do|of)$)[a-z]+$/

/**
 * Percent of the load that the slot's progression had on the bar in another role this week: the light day reads the volume
 * day. Where that day is absent this week, the last one, and the rung says which.
 */
export const role = defineSource<{ role: string; percent: number }>({
  of: 'role',
  title: 'Percent of another role’s load',
  computes: true,
  params: strictObject({
    role: textField('a role of the slot’s progression', 40).required(),
    percent: percentField().required(),
  }),
  cell: ({ role: name, percent }) => `${formatNumber(percent)}% ${name}`,
  readsRole: ({ role: name }) => name,
  read(typed) {
    const percent = percentBefore(typed, roleName)
    return percent === null ? null : { percent, role: typed.replace(/^[^a-z]*/, '') }
  },
  price({ lift, role: seen }, { role: name, percent }) {
    const last = seen?.(name)
    if (!last) return { need: 'role', lift, role: name }
    const { load, date, week, isThisWeek, felt } = last
    const data = { role: name, load, week, ...(date && { date }) }
    const id = isThisWeek ? (date ? 'role.thisWeek' : 'role.ahead') : date ? 'role.last' : 'role.lastAhead'
    return {
      base: load,
      percent,
      ...(felt && { felt }),
      steps: [{ id, data }, say('role.percent', { percent })],
    }
  },
  messages: say.messages,
  examples: [
    {
      say: '85% of this week’s volume day of 100 kg is 85 kg',
      params: { role: 'volume', percent: 85 },
      known: {
        role: () => ({ load: { value: 100, unit: 'kg' }, date: '2026-03-02', week: 1, isThisWeek: true }),
      },
      want: { value: 85, unit: 'kg' },
    },
    {
      say: 'before any volume day it is asked for one',
      params: { role: 'volume', percent: 85 },
      known: { role: () => null, lift: { exercise: 'backSquat' } },
      want: { need: 'role', lift: { exercise: 'backSquat' }, role: 'volume' },
    },
  ],
})
