import { formatNumber, type DistanceUnit } from '../units/index.ts'
import { secondsOver } from './distance.ts'
import { defineGoal } from './goal.ts'
import { cellInAll, readInAll, type AnySets } from './inAll.ts'

type TotalDistance = { totalDistance: number; unit: DistanceUnit } & AnySets

/** So far in all, in no more sets than the prescription has, or in any number of them: 400 m of carries. */
export const totalDistance = defineGoal<TotalDistance>({
  key: 'totalDistance',
  title: 'Total distance',
  cell: (goal) => cellInAll(`${formatNumber(goal.totalDistance)} ${goal.unit}`, goal),
  read(typed) {
    const read = readInAll(typed)
    const [, far, unit] = /^(\d+(?:[.,]\d+)?)\s*(m|km|yd|mi)$/.exec(read?.what ?? '') ?? []
    if (!read || far === undefined) return null
    return { totalDistance: Number(far.replace(',', '.')), unit: unit as DistanceUnit, ...read.more }
  },
  reps: () => null,
  logs: ({ unit }) => unit,
  meets: (_, { amount }) => amount !== undefined && amount.value > 0,
  inAll: ({ totalDistance: far }) => far,
  seconds: ({ totalDistance: far, unit }, _, sets) => secondsOver(far, unit) / sets,
  amount: ({ totalDistance: far }) => far,
  withAmount: (goal, amount) => ({ ...goal, totalDistance: amount }),
})
