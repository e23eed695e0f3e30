import type { CheckIn, Fact, FactBody } from '@young-oak/core/facts'
import { addDays, type Day } from '@young-oak/core/units'

/** What some of the made-up members have said of themselves besides their maxes, by name. */
export function lifeOf(name: string, start: Day, today: Day): Fact[] {
  const make = lives[name]
  return make ? make(start, today) : []
}

let count = 0
/** Facts of one day sort by their ids, so these count up. */
function entry(date: Day, body: FactBody): Fact {
  count += 1
  const id = `life-${String(count).padStart(4, '0')}`
  return { id, rev: 1, change: id, date, actsFrom: date, ...body } as Fact
}

const said = (date: Day, answers: CheckIn): Fact => entry(date, { kind: 'checkIn', ...answers })

const lives: Record<string, (start: Day, today: Day) => Fact[]> = {
  'Isla Fenwater': (start, today) => [
    entry(addDays(start, 14), {
      kind: 'goal',
      exercise: 'backSquat',
      to: { value: 105, unit: 'kg' },
      by: addDays(today, 35),
    }),
    entry(addDays(today, -3), {
      kind: 'event',
      what: 'trip',
      name: 'Sister’s wedding',
      on: addDays(start, 65),
    }),
  ],
  'Bram Oxley': (_, today) => [
    said(addDays(today, -9), { sleep: 3, mood: 3, freshness: 3, joints: 'fine' }),
    said(addDays(today, -2), { sleep: 3, mood: 2, freshness: 2, joints: 'achy' }),
  ],
  'Dov Ketch': (_, today) => [
    said(addDays(today, -8), { sleep: 2, mood: 3, freshness: 3, joints: 'fine' }),
    said(addDays(today, -1), { sleep: 1, mood: 2, freshness: 2, joints: 'fine' }),
  ],
  'Una Brackwater': (start, today) => [
    said(addDays(today, -2), { sleep: 4, mood: 4, freshness: 4, joints: 'fine' }),
    entry(addDays(start, 7), {
      kind: 'goal',
      exercise: 'benchPress',
      to: { value: 62.5, unit: 'kg' },
      by: addDays(today, 28),
    }),
    entry(addDays(start, 1), {
      kind: 'trial',
      name: 'Longer rests',
      differs: 'two minutes between sets of the squat, then four',
      first: { from: start, to: addDays(start, 27) },
      second: { from: addDays(start, 28), to: addDays(start, 55) },
      lifts: [{ exercise: 'backSquat' }, { exercise: 'benchPress' }],
    }),
  ],
}
