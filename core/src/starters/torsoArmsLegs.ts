import { defineStarter } from './starter.ts'

/** Chest and back, shoulders and arms, legs, rolling over four days. */
export const torsoArmsLegs = defineStarter({
  kind: 'torsoArmsLegs',
  title: 'Chest and back, shoulders and arms, legs',
  level: 'intermediate',
  split: 'chest-and-back / shoulders-and-arms / legs',
  days: '3 to 5, rolling',
  say: 'Chest and back share a day in pairs, arms come fresh on their own. On four days the order rolls on: nothing is tied to a weekday.',
  phases: [
    {
      name: 'Block',
      weeks: 8,
      rotation: ['torso', 'arms', 'legs'],
      perWeek: 4,
      defaults: { rir: 2, rest: 105 },
      deload: { recipe: 'fewerSets', params: { percent: 40 }, weeks: [4, 8] },
    },
  ],
  sessions: {
    torso: {
      name: 'Chest and back',
      parts: {
        Main: [
          'bench: bench press 4 x 6-8 @ rule',
          '+ row: bench pull 4 x 6-8 @ rule',
          'incline dumbbell press 3 x 8-12 @ free',
          '+ pulldown 3 x 8-12 @ free',
        ],
      },
    },
    arms: {
      name: 'Shoulders and arms',
      parts: {
        Main: [
          'press: overhead press 3 x 6-8 @ rule',
          'lateral raise 3 x 12-20 @ free rest 1:00',
          'barbell curl 3 x 8-12 @ free rest 1:15',
          '+ triceps pushdown 3 x 8-12 @ free rest 1:15',
        ],
        After: ['rear-delt fly 3 x 12-20 @ free rest 1:00'],
      },
    },
    legs: {
      name: 'Legs',
      parts: {
        Main: [
          'squat: back squat 3 x 5-8 @ rule rest 3:00',
          'hinge: Romanian deadlift 3 x 6-10 @ rule rest 2:30',
          'leg press 2 x 10-15 @ free',
        ],
        After: ['seated leg curl 2 x 10-15 @ free', 'standing calf raise 3 x 8-15 @ free rest 1:00'],
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
      params: { startPercent: 62, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    press: {
      rule: 'doubleProgression',
      params: { startPercent: 68, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    squat: {
      rule: 'doubleProgression',
      params: { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    hinge: {
      rule: 'doubleProgression',
      params: { startPercent: 58, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
  },
  tracks: ['lighter', 'short'],
})
