import type { Fact, FactBody } from '../facts/index.ts'
import { addDays, type Day } from '../units/index.ts'

/** Facts of a member, entered so many days after a day; those without an id of their own are numbered in the order in which they are made. */
export function factsFrom(start: Day) {
  let count = 0
  return (day: number, body: FactBody, id?: string): Fact => {
    count += 1
    const date = addDays(start, day)
    return { id: id ?? `f${String(count).padStart(4, '0')}`, rev: 1, date, actsFrom: date, ...body } as Fact
  }
}

/** A back squat of 100 kg, tested. */
export const squatOf100: FactBody = {
  kind: 'max',
  exercise: 'backSquat',
  load: { value: 100, unit: 'kg' },
  reps: 1,
  how: 'tested',
}
