import { defineStarter } from './starter.ts'

/** Two short full-body sessions in turn, half an hour each, in supersets. */
export const twoShortSessions = defineStarter({
  kind: 'twoShortSessions',
  title: 'Two short sessions alternating',
  level: 'novice',
  split: 'two alternating short full-body sessions',
  days: '2 to 4',
  say: 'For full weeks, on two days or more: half an hour, all six patterns over the two sessions, pairs that do not tire each other. Little room for much volume.',
  phases: [
    { name: 'Season', weeks: 8, rotation: ['one', 'two'], perWeek: 2, defaults: { rir: 2, rest: 60 } },
  ],
  sessions: {
    one: {
      name: 'Push and hinge',
      parts: {
        Main: [
          'bench: dumbbell bench press 3 x 8-12 @ rule',
          '+ hinge: dumbbell Romanian deadlift 3 x 8-12 @ rule',
          'goblet squat 2 x 10-15 @ free',
          '+ seated cable row 2 x 10-15 @ free',
        ],
      },
    },
    two: {
      name: 'Squat and pull',
      parts: {
        Main: [
          'squat: leg press 3 x 8-12 @ rule',
          '+ pull: pulldown 3 x 8-12 @ rule',
          'dumbbell shoulder press 2 x 8-12 @ free',
          '+ hanging knee raise 2 x 8-15 @ none R2',
        ],
      },
    },
  },
  rules: {
    bench: {
      rule: 'doubleProgression',
      params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    hinge: {
      rule: 'doubleProgression',
      params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    squat: {
      rule: 'doubleProgression',
      params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    pull: {
      rule: 'doubleProgression',
      params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
  },
  tracks: ['lighter'],
})
