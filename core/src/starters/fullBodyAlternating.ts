import { defineStarter } from './starter.ts'

/** Two full-body sessions in turn on three days: A B A, then B A B. */
export const fullBodyAlternating = defineStarter({
  kind: 'fullBodyAlternating',
  title: 'Full body, A and B alternating',
  level: 'novice',
  split: 'full body',
  days: '3',
  say: 'For beginners and busy people: each lift often, loads that rise every session, and a missed day does no harm. Sessions grow long once strong.',
  phases: [
    {
      name: 'Base',
      weeks: 12,
      rotation: ['a', 'b'],
      perWeek: 3,
      defaults: { rest: 180 },
      deload: { recipe: 'fewerSets', params: { percent: 40 }, weeks: [8] },
    },
  ],
  sessions: {
    a: {
      name: 'Session A',
      parts: {
        Main: [
          'squat: back squat 3 x 5 @ rule',
          'bench: bench press 3 x 5 @ rule',
          'row: barbell row 3 x 8 @ rule rest 2:00',
        ],
        After: ['plank 3 x 0:30 @ none rest 1:00', '+ back extension 2 x 12 @ none rest 1:00'],
      },
    },
    b: {
      name: 'Session B',
      parts: {
        Main: [
          'squat: back squat 3 x 5 @ rule',
          'press: overhead press 3 x 5 @ rule',
          'pull: deadlift 1 x 5 @ rule rest 4:00',
        ],
        After: ['pulldown 3 x 8-12 @ free R2 rest 1:30', 'dumbbell curl 2 x 10-12 @ free R2 rest 1:00'],
      },
    },
  },
  rules: {
    squat: { rule: 'linear', params: { startPercent: 60, step: { kg: 5, lb: 10 }, misses: 3, resetBy: 10 } },
    bench: { rule: 'linear', params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    row: { rule: 'linear', params: { startPercent: 50, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    press: { rule: 'linear', params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    pull: { rule: 'linear', params: { startPercent: 65, step: { kg: 5, lb: 10 }, misses: 3, resetBy: 10 } },
  },
  tracks: ['lighter', 'short'],
})
