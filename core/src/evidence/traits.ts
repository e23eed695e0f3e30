import { inUnit } from '../units/index.ts'
import type { FactName } from '../facts/index.ts'
import type { Evidence } from './evidence.ts'

/** One thing about a member that lists and rules ask for: words, or a number (loads in kg). */
export type Trait = { name: string; says?: string[]; amount?: number }

/** Facts that traits are read from: no log is needed. */
export const traitKinds: readonly FactName[] = [
  'about',
  'level',
  'days',
  'priorities',
  'enjoys',
  'home',
  'unit',
  'bodyWeight',
  'max',
  'pause',
  'resume',
]

/** What lists and rules may ask of a member, as their facts leave it: of each lift the newest accepted max. */
export function traitsOf(evidence: Evidence): Trait[] {
  const { about, levels, days, priorities, enjoys, home, body, maxes, pauses } = evidence
  const traits: Trait[] = [{ name: 'location', says: [home] }]
  if (about.training) traits.push({ name: 'training', says: [about.training] })
  if (days.weekdays.length)
    traits.push({ name: 'days', amount: days.weekdays.length, says: days.weekdays.map(String) })
  if (days.minutes !== undefined) traits.push({ name: 'minutes', amount: days.minutes })
  const wanted = [...priorities.muscles, ...priorities.lifts]
  if (wanted.length) traits.push({ name: 'priority', says: wanted })
  if (enjoys.exercises.length) traits.push({ name: 'enjoys', says: enjoys.exercises })
  if (body) traits.push({ name: 'bodyWeight', amount: inUnit(body.load, 'kg').value })
  for (const { id, from, to } of pauses)
    traits.push({ name: `paused:${id}`, says: to === null ? [from] : [from, to] })
  for (const [lift, level] of Object.entries(levels)) traits.push({ name: `level:${lift}`, says: [level] })
  for (const [lift, own] of Object.entries(maxes)) {
    const newest = own.at(-1)
    if (newest) traits.push({ name: `max:${lift}`, amount: inUnit(newest.load, 'kg').value })
  }
  return traits
}
