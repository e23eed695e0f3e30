import { defineStarter } from './starter.ts'

/** A heavy and a lighter day of each half of the body. */
export const upperLower = defineStarter({
  kind: 'upperLower',
  title: 'Upper and lower, four days',
  level: 'intermediate',
  split: 'upper / lower',
  days: '4 (two on, one off, two on)',
  say: 'For those without a clear weak point: one heavy and one lighter day of each half, easy to move. Upper days grow long.',
  phases: [
    {
      name: 'Build',
      weeks: 6,
      rotation: ['uh', 'lh', 'uv', 'lv'],
      perWeek: 4,
      defaults: { rest: 150 },
      deload: { recipe: 'fewerSetsLessLoad', params: { sets: 40, load: 10 }, weeks: [6] },
    },
    {
      name: 'Press on',
      weeks: 6,
      rotation: ['uh', 'lh', 'uv', 'lv'],
      perWeek: 4,
      defaults: { rest: 180 },
      deload: { recipe: 'fewerSetsLessLoad', params: { sets: 40, load: 10 }, weeks: [6] },
    },
  ],
  sessions: {
    uh: {
      name: 'Upper, heavy',
      parts: {
        Main: [
          'bench: bench press 4 x 5 @ rule',
          'row: bench pull 4 x 6-8 @ rule',
          'press: overhead press 3 x 6-8 @ rule',
        ],
        After: [
          'pull-up 3 x 5-8 @ none R2',
          'dumbbell curl 2 x 8-12 @ free R2 rest 1:00',
          '+ triceps pushdown 2 x 8-12 @ free R2 rest 1:00',
        ],
      },
    },
    lh: {
      name: 'Lower, heavy',
      parts: {
        Main: ['squat: back squat 4 x 5 @ rule rest 3:00', 'hinge: Romanian deadlift 3 x 6-8 @ rule'],
        After: [
          'leg curl 3 x 8-12 @ free R2 rest 1:30',
          'standing calf raise 3 x 8-12 @ free R1 rest 1:00',
          'plank 3 x 0:45 @ none rest 1:00',
        ],
      },
    },
    uv: {
      name: 'Upper, lighter',
      parts: {
        Main: [
          'bench: bench press 3 x 8 @ 85% rule',
          'seated cable row 3 x 10-12 @ free R2',
          'dumbbell shoulder press 3 x 8-12 @ free R2',
        ],
        After: [
          'lateral raise 3 x 12-20 @ free R1 rest 1:00',
          'face pull 3 x 12-20 @ free R2 rest 1:00',
          '+ dumbbell curl 2 x 10-15 @ free R2 rest 1:00',
        ],
      },
    },
    lv: {
      name: 'Lower, lighter',
      parts: {
        Main: ['squat: back squat 3 x 8 @ 80% rule', 'pull: deadlift 3 x 4 @ rule rest 3:00'],
        After: [
          'split squat 2 x 8-12 @ free R2 rest 1:30',
          'seated leg curl 2 x 10-15 @ free R2 rest 1:00',
          'hanging knee raise 3 x 8-15 @ none rest 1:00',
        ],
      },
    },
  },
  rules: {
    bench: { rule: 'linear', params: { startPercent: 72, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    row: {
      rule: 'doubleProgression',
      params: { startPercent: 65, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    press: {
      rule: 'doubleProgression',
      params: { startPercent: 65, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    squat: { rule: 'linear', params: { startPercent: 72, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    hinge: {
      rule: 'doubleProgression',
      params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    pull: { rule: 'linear', params: { startPercent: 72, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
  },
  tracks: ['lighter', 'short'],
})
