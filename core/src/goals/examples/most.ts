import { most as goal } from '../most.ts'
import { defineExamples } from './example.ts'

export const most = defineExamples(goal, [
  {
    say: '41 in five minutes count, however many they are',
    goal: { most: 'reps', seconds: 300 },
    cell: 'most reps in 5:00',
    done: [{ reps: 41 }],
    meets: true,
  },
  {
    say: '42 beat 41',
    goal: { most: 'reps', seconds: 300, beat: 41 },
    cell: 'most reps in 5:00, beat 41',
    done: [{ reps: 42 }],
    meets: true,
  },
  {
    say: '41 do not beat 41',
    goal: { most: 'reps', seconds: 300, beat: 41 },
    cell: 'most reps in 5:00, beat 41',
    done: [{ reps: 41 }],
    meets: false,
  },
  {
    say: 'four rounds and twelve reps do not beat five',
    goal: { most: 'rounds', seconds: 600, beat: 5 },
    cell: 'most rounds in 10:00, beat 5',
    done: [{ amount: { value: 4, unit: 'rounds' }, reps: 12 }],
    meets: false,
  },
  {
    say: 'five and some reps of the sixth beat five',
    goal: { most: 'rounds', seconds: 600, beat: 5 },
    cell: 'most rounds in 10:00, beat 5',
    done: [{ amount: { value: 5, unit: 'rounds' }, reps: 3 }],
    meets: true,
  },
  {
    say: 'no round is none',
    goal: { most: 'rounds', seconds: 600 },
    cell: 'most rounds in 10:00',
    done: [{}],
    meets: false,
  },
])
