import { defineStarter } from './starter.ts'

/** One muscle group a day, a week of recovery for each. */
export const bodyPart = defineStarter({
  kind: 'bodyPart',
  title: 'One body part a day',
  level: 'intermediate',
  split: 'body part',
  days: '5',
  say: 'Short and focused, a week of recovery for each muscle. One school advises beginners against it, since each muscle is hit once a week; another uses it widely.',
  phases: [
    {
      name: 'Block',
      weeks: 8,
      rotation: ['chest', 'back', 'legs', 'shoulders', 'arms'],
      perWeek: 5,
      defaults: { rir: 1, rest: 120 },
      deload: { recipe: 'stopSooner', params: { rir: 4 }, weeks: [5] },
    },
  ],
  sessions: {
    chest: {
      name: 'Chest',
      parts: {
        Main: [
          'bench: bench press 4 x 6-10 @ rule',
          'incline dumbbell press 3 x 8-12 @ free',
          'chest press 3 x 10-15 @ free',
          'cable fly 3 x 12-20 @ free rest 1:15',
        ],
      },
    },
    back: {
      name: 'Back',
      parts: {
        Main: [
          'row: barbell row 4 x 6-10 @ rule',
          'pull-up 3 x 5-10 @ none',
          'seated cable row 3 x 10-12 @ free',
          'straight-arm pulldown 3 x 12-20 @ free rest 1:15',
        ],
      },
    },
    legs: {
      name: 'Legs',
      parts: {
        Main: [
          'squat: back squat 4 x 6-8 @ rule rest 3:00',
          'Romanian deadlift 3 x 8-10 @ free',
          'leg press 3 x 10-15 @ free',
          'leg curl 3 x 8-15 @ free',
        ],
        After: ['standing calf raise 4 x 8-15 @ free rest 1:00'],
      },
    },
    shoulders: {
      name: 'Shoulders',
      parts: {
        Main: [
          'press: overhead press 4 x 6-8 @ rule',
          'lateral raise 4 x 12-20 @ free rest 1:15',
          'rear-delt fly 4 x 12-20 @ free rest 1:15',
        ],
        After: ['hanging knee raise 3 x 10-15 @ none rest 1:00'],
      },
    },
    arms: {
      name: 'Arms',
      parts: {
        Main: [
          'barbell curl 4 x 6-12 @ free',
          '+ close-grip bench press 4 x 6-10 @ free',
          'incline dumbbell curl 3 x 8-12 @ free rest 1:15',
          '+ triceps pushdown 3 x 10-15 @ free rest 1:15',
          'reverse curl 2 x 12-15 @ free rest 1:00',
        ],
      },
    },
  },
  rules: {
    bench: {
      rule: 'doubleProgression',
      params: { startPercent: 68, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    row: {
      rule: 'doubleProgression',
      params: { startPercent: 58, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    squat: {
      rule: 'doubleProgression',
      params: { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    press: {
      rule: 'doubleProgression',
      params: { startPercent: 68, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
  },
  tracks: ['lighter', 'short'],
})
