import { defineStarter } from './starter.ts'

/** Three sessions that roll over five days: the order stays, rest days fall where the week needs them. */
export const pushPullLegs = defineStarter({
  kind: 'pushPullLegs',
  title: 'Push, pull, legs, rolling on five days',
  level: 'intermediate',
  split: 'push / pull / legs',
  days: '5 (or 3, or 6)',
  say: 'Most room for volume. On five or six days it asks the most recovery; on three each muscle waits a week. Arm work follows tired arms.',
  phases: [
    {
      name: 'Set up',
      weeks: 4,
      rotation: ['push', 'pull', 'legs'],
      perWeek: 5,
      defaults: { rir: 2, rest: 120 },
      deload: { recipe: 'fewerSets', params: { percent: 40 }, weeks: [4] },
    },
    {
      name: 'Load up',
      weeks: 4,
      rotation: ['push', 'pull', 'legs'],
      perWeek: 5,
      defaults: { rir: 1, rest: 150 },
      deload: { recipe: 'fewerSets', params: { percent: 40 }, weeks: [4] },
    },
  ],
  sessions: {
    push: {
      name: 'Push',
      parts: {
        Main: [
          'bench: bench press 3 x 6-10 @ rule',
          'dumbbell shoulder press 3 x 8-12 @ free',
          'incline dumbbell press 2 x 8-12 @ free',
        ],
        After: ['lateral raise 3 x 12-20 @ free rest 1:00', '+ triceps pushdown 3 x 10-15 @ free rest 1:00'],
      },
    },
    pull: {
      name: 'Pull',
      parts: {
        Main: [
          'row: barbell row 3 x 6-10 @ rule',
          'pulldown 3 x 8-12 @ free',
          'chest-supported row 2 x 10-15 @ free',
        ],
        After: ['rear-delt fly 2 x 15-20 @ free rest 1:00', '+ dumbbell curl 3 x 8-15 @ free rest 1:00'],
      },
    },
    legs: {
      name: 'Legs',
      parts: {
        Main: [
          'squat: back squat 3 x 6-8 @ rule rest 3:00',
          'hinge: Romanian deadlift 3 x 6-10 @ rule',
          'leg press 2 x 10-15 @ free',
        ],
        After: [
          'leg curl 3 x 8-15 @ free rest 1:30',
          'standing calf raise 3 x 8-15 @ free rest 1:00',
          'cable crunch 2 x 10-20 @ free rest 1:00',
        ],
      },
    },
  },
  rules: {
    bench: {
      rule: 'doubleProgression',
      params: { startPercent: 65, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    row: {
      rule: 'doubleProgression',
      params: { startPercent: 55, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    squat: {
      rule: 'doubleProgression',
      params: { startPercent: 68, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    hinge: {
      rule: 'doubleProgression',
      params: { startPercent: 58, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
  },
  tracks: ['lighter', 'short'],
})
