import { defineStarter } from './starter.ts'

/** Accumulate, intensify, peak, counting back from the test day. */
export const countdown = defineStarter({
  kind: 'countdown',
  title: 'Countdown to a test',
  level: 'advanced',
  split: 'block',
  days: '4',
  say: 'For those with a test or meet day: sets first, then loads, then a taper in which loads stay high and sets fall. Not for novices; heavy singles with a spotter or safety bars.',
  phases: [
    {
      name: 'Accumulate',
      weeks: 5,
      rotation: ['squat', 'bench', 'pull', 'press'],
      perWeek: 4,
      defaults: { rest: 150 },
      deload: { recipe: 'fewerSets', params: { percent: 40 }, weeks: [5] },
    },
    {
      name: 'Intensify',
      weeks: 4,
      rotation: ['squat', 'bench', 'pull', 'press'],
      perWeek: 4,
      defaults: { rest: 240 },
    },
    {
      name: 'Peak',
      weeks: 3,
      rotation: ['squat', 'bench', 'pull', 'press'],
      perWeek: 4,
      ends: 'test day',
      defaults: { rest: 300 },
    },
  ],
  sessions: {
    squat: {
      name: 'Squat',
      parts: {
        Main: [
          'back squat 4 x 6 @ 70% > 4 x 6 @ 72.5% > 5 x 6 @ 75% > 5 x 5 @ 77.5% > 3 x 5 @ 70% | 4 x 4 @ 80% > 4 x 3 @ 82.5% > 4 x 3 @ 85% > 3 x 2 @ 87.5% | 3 x 2 @ 90% > 2 x 1 @ 92.5% > 2 x 2 @ 70%',
          'Romanian deadlift 3 x 8 @ free R3 | 2 x 6 @ free R3 | 1 x 5 @ free R4',
        ],
        After: [
          'leg curl 3 x 10-12 @ free R2 rest 1:30 | 2 x 10 @ free R3 | 1 x 10 @ free R4',
          'plank 3 x 0:45 @ none rest 1:00',
        ],
      },
    },
    bench: {
      name: 'Bench',
      parts: {
        Main: [
          'bench press 4 x 6 @ 70% > 4 x 6 @ 72.5% > 5 x 6 @ 75% > 5 x 5 @ 77.5% > 3 x 5 @ 70% | 4 x 4 @ 80% > 4 x 3 @ 82.5% > 4 x 3 @ 85% > 3 x 2 @ 87.5% | 3 x 2 @ 90% > 2 x 1 @ 92.5% > 2 x 2 @ 70%',
          'seated cable row 3 x 8-10 @ free R2 | 3 x 8 @ free R3 | 2 x 8 @ free R4',
        ],
        After: [
          'triceps pushdown 3 x 10-12 @ free R2 rest 1:30 | 2 x 10 @ free R3 | 1 x 10 @ free R4',
          'face pull 3 x 15 @ free R3 rest 1:00',
        ],
      },
    },
    pull: {
      name: 'Pull',
      parts: {
        Main: [
          'deadlift 3 x 5 @ 70% > 3 x 5 @ 72.5% > 4 x 5 @ 75% > 4 x 4 @ 77.5% > 2 x 4 @ 70% | 3 x 3 @ 80% > 3 x 3 @ 82.5% > 3 x 2 @ 85% > 2 x 2 @ 87.5% | 2 x 1 @ 90% > 1 x 1 @ 92.5% > 2 x 2 @ 65%',
          'front squat 3 x 5 @ 65% of back squat | 2 x 4 @ 65% of back squat | 1 x 3 @ 60% of back squat',
        ],
        After: [
          'pull-up 3 x 5-8 @ none R2 | 2 x 5 @ none R3 | 1 x 5 @ none R4',
          'back extension 2 x 12 @ none rest 1:00',
        ],
      },
    },
    press: {
      name: 'Press and bench again',
      parts: {
        Main: [
          'pause bench press 4 x 4 @ 65% of bench press > 4 x 4 @ 67.5% of bench press > 5 x 4 @ 70% of bench press | 3 x 3 @ 75% of bench press | 2 x 2 @ 75% of bench press',
          'overhead press 3 x 6-8 @ free R2 | 2 x 6 @ free R3 | 1 x 5 @ free R4',
        ],
        After: ['dumbbell curl 3 x 8-12 @ free R2 rest 1:00 | 2 x 10 @ free R3 | 1 x 10 @ free R4'],
      },
    },
  },
  rules: {},
  head: { missed: 'drop' },
  tracks: ['lighter'],
})
