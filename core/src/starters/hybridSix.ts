import { defineStarter } from './starter.ts'

/** Push, pull, legs, then chest and back, shoulders and arms, legs: arms and side delts fresh and often. */
export const hybridSix = defineStarter({
  kind: 'hybridSix',
  title: 'Six-day hybrid',
  level: 'advanced',
  split: 'hybrid 6-day',
  days: '6 and a rest',
  say: 'For experienced lifters who want arms and side delts trained fresh and often. It needs honest RIR; hard back and hard legs are kept apart.',
  phases: [
    {
      name: 'Three up, one down',
      weeks: 8,
      rotation: ['push', 'pull', 'legs', 'torso', 'arms', 'legs2'],
      perWeek: 6,
      defaults: { rir: 2, rest: 120 },
      deload: { recipe: 'fewerSetsLessLoad', params: { sets: 40, load: 10 }, weeks: [4, 8] },
    },
  ],
  sessions: {
    push: {
      name: 'Push',
      parts: {
        Main: [
          'bench: bench press 3 x 5-8 @ rule',
          'seated barbell press 3 x 6-10 @ free',
          'cable fly 2 x 12-15 @ free',
        ],
        After: [
          'lateral raise 3 x 12-20 @ free rest 1:00',
          'overhead triceps extension 3 x 10-15 @ free rest 1:00',
        ],
      },
    },
    pull: {
      name: 'Pull',
      parts: {
        Main: [
          'pull-up 4 x 5-8 @ none',
          'seated cable row 3 x 8-12 @ free',
          'face pull 2 x 15-20 @ free rest 1:00',
        ],
        After: ['hammer curl 3 x 8-12 @ free rest 1:00'],
      },
    },
    legs: {
      name: 'Legs, squat',
      parts: {
        Main: [
          'squat: back squat 3 x 5-8 @ rule rest 3:00',
          'leg press 3 x 10-15 @ free',
          'leg curl 3 x 8-12 @ free',
        ],
        After: ['standing calf raise 4 x 8-12 @ free rest 1:00'],
      },
    },
    torso: {
      name: 'Chest and back',
      parts: {
        Main: [
          'incline: incline dumbbell press 3 x 8-12 @ rule',
          'chest-supported row 3 x 8-12 @ free',
          'chest-fly machine 2 x 12-20 @ free',
          'straight-arm pulldown 2 x 12-20 @ free',
        ],
      },
    },
    arms: {
      name: 'Shoulders and arms',
      parts: {
        Main: [
          'dumbbell shoulder press 3 x 8-12 @ free',
          'cable lateral raise 4 x 12-20 @ free rest 1:00',
          'curl-bar curl 3 x 8-12 @ free rest 1:15',
          '+ lying triceps extension 3 x 8-12 @ free rest 1:15',
          'reverse-fly machine 3 x 12-20 @ free rest 1:00',
        ],
      },
    },
    legs2: {
      name: 'Legs, hinge',
      parts: {
        Main: [
          'hinge: Romanian deadlift 3 x 6-10 @ rule rest 2:30',
          'rear-foot-raised split squat 3 x 8-12 @ free',
          'leg extension 3 x 12-20 @ free',
          'seated leg curl 2 x 10-15 @ free',
        ],
        After: [
          'seated calf raise 3 x 12-20 @ free rest 1:00',
          'hanging leg raise 3 x 6-12 @ none rest 1:00',
        ],
      },
    },
  },
  rules: {
    bench: {
      rule: 'doubleProgression',
      params: { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    squat: {
      rule: 'doubleProgression',
      params: { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    incline: {
      rule: 'doubleProgression',
      params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
    hinge: {
      rule: 'doubleProgression',
      params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, advanceWhen: 'allAtTop' },
    },
  },
  tracks: ['short'],
})
