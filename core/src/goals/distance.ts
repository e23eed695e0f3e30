import {
  formatNumber,
  formatSpan,
  highest,
  isAtLeast,
  lowest,
  sizeOf,
  type DistanceUnit,
  type Span,
} from '../units/index.ts'
import { defineGoal } from './goal.ts'

type Distance = { distance: number; unit: DistanceUnit; trips?: Span }

/** A distance to run, row or carry over, in trips of so much each where there are several; of a range of trips the least is enough. */
export const distance = defineGoal<Distance>({
  key: 'distance',
  title: 'A distance',
  cell: ({ distance: far, unit, trips }) =>
    `${trips ? `${formatSpan(trips)} × ` : ''}${formatNumber(far)} ${unit}`,
  read(typed) {
    const match = /^(?:(\d+)(?:-(\d+))?\s*[x×]\s*)?(\d+(?:[.,]\d+)?)\s*(m|km|yd|mi)$/.exec(typed)
    if (!match) return null
    const [, from, to] = match
    const made: Distance = { distance: Number(match[3]?.replace(',', '.')), unit: match[4] as DistanceUnit }
    if (from !== undefined)
      made.trips = to === undefined ? Number(from) : { from: Number(from), to: Number(to) }
    return made
  },
  reps: () => null,
  logs: ({ unit }) => unit,
  meets: ({ distance: far, unit, trips = 1 }, { amount }) =>
    amount !== undefined && isAtLeast(amount, { value: far * lowest(trips), unit }),
  seconds: ({ distance: far, unit, trips = 1 }) => secondsOver(far * highest(trips), unit),
  amount: ({ distance: asked }) => asked,
  withAmount: (goal, amount) => ({ ...goal, distance: amount }),
})

/** Two metres a second, between a loaded walk and an easy row (common practice, no source). */
export const secondsOver = (far: number, unit: DistanceUnit): number => (far * sizeOf(unit)) / 2
