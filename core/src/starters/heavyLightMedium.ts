import { defineStarter } from './starter.ts'

/** One lift in three roles a week: volume, light, heavy. */
export const heavyLightMedium = defineStarter({
  kind: 'heavyLightMedium',
  title: 'Volume, light and heavy day',
  level: 'intermediate',
  split: 'heavy-light-medium full body',
  days: '3',
  say: 'For those whose loads no longer rise every session but still every week: half of the week’s work on the first day, rest on the second, a record on the third.',
  phases: [
    {
      name: 'Rise',
      weeks: 9,
      rotation: ['volume', 'light', 'heavy'],
      perWeek: 3,
      defaults: { rest: 180 },
      deload: { recipe: 'lessLoad', params: { percent: 15 }, weeks: [9] },
    },
  ],
  sessions: {
    volume: {
      name: 'Volume day',
      parts: {
        Main: [
          'squat/volume: back squat 5 x 5 @ rule',
          'bench/volume: bench press 5 x 5 @ rule',
          'barbell row 3 x 8 @ free R2',
        ],
        After: ['back extension 3 x 10-15 @ none rest 1:30'],
      },
    },
    light: {
      name: 'Light day',
      parts: {
        Main: [
          'squat/light: back squat 2 x 5 @ 80% volume',
          'press: overhead press 3 x 5 @ rule',
          'pull-up 3 x 5-10 @ none R2',
        ],
        After: ['plank 3 x 0:45 @ none rest 1:00'],
      },
    },
    heavy: {
      name: 'Heavy day',
      parts: {
        Main: [
          'squat/heavy: back squat 1 x 5 @ rule rest 5:00',
          'bench/heavy: bench press 1 x 5 @ rule rest 5:00',
          'pull: deadlift 1 x 5 @ rule rest 5:00',
        ],
        After: ['dumbbell curl 3 x 8-12 @ free R2 rest 1:00'],
      },
    },
  },
  rules: {
    squat: {
      rule: 'volumeHeavy',
      params: {
        startPercent: 72,
        heavyPercent: 111,
        volumeStep: { kg: 2.5, lb: 5 },
        heavyStep: { kg: 2.5, lb: 5 },
        misses: 2,
        resetBy: 10,
      },
    },
    bench: {
      rule: 'volumeHeavy',
      params: {
        startPercent: 72,
        heavyPercent: 111,
        volumeStep: { kg: 1.25, lb: 2.5 },
        heavyStep: { kg: 1.25, lb: 2.5 },
        misses: 2,
        resetBy: 10,
      },
    },
    press: {
      rule: 'linear',
      params: { startPercent: 70, step: { kg: 1.25, lb: 2.5 }, misses: 3, resetBy: 10 },
    },
    pull: { rule: 'linear', params: { startPercent: 78, step: { kg: 5, lb: 10 }, misses: 3, resetBy: 10 } },
  },
  tracks: ['lighter', 'short'],
})
