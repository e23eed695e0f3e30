import { totalDistance as goal } from '../totalDistance.ts'
import { defineExamples } from './example.ts'

export const totalDistance = defineExamples(goal, [
  {
    say: '400 m in yards and metres: 200 yd are 182.88 m',
    goal: { totalDistance: 400, unit: 'm' },
    cell: '400 m in all',
    done: [{ amount: { value: 220, unit: 'm' } }, { amount: { value: 200, unit: 'yd' } }],
    meets: true,
  },
  {
    say: '17 m too few',
    goal: { totalDistance: 400, unit: 'm', anySets: true },
    cell: '400 m in all, any sets',
    done: [{ amount: { value: 200, unit: 'm' } }, { amount: { value: 200, unit: 'yd' } }],
    meets: false,
  },
])
