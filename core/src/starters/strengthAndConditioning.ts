import { defineStarter } from './starter.ts'

/** Two strength days and two that share the time with conditioning. */
export const strengthAndConditioning = defineStarter({
  kind: 'strengthAndConditioning',
  title: 'Strength with conditioning',
  level: 'intermediate',
  split: 'upper / lower with conditioning',
  days: '4',
  say: 'For rowers and others who need both: lifting first, then the engine. Recovery is shared, so minutes of conditioning stand beside the sets.',
  phases: [
    {
      name: 'Base',
      weeks: 4,
      rotation: ['lower', 'easy', 'upper', 'hard'],
      perWeek: 4,
      defaults: { rest: 150 },
    },
    {
      name: 'Build',
      weeks: 4,
      rotation: ['lower', 'easy', 'upper', 'hard'],
      perWeek: 4,
      defaults: { rest: 150 },
      deload: { recipe: 'fewerSetsLessLoad', params: { sets: 40, load: 10 }, weeks: [4] },
    },
  ],
  sessions: {
    lower: {
      name: 'Lower',
      parts: {
        Main: [
          'squat: back squat 3 x 5 @ rule rest 3:00',
          'hinge: Romanian deadlift 3 x 8 @ rule',
          'step-up 2 x 8-10 @ free R2',
        ],
        After: [
          'rowing machine 1 x do: easy, talk all the way (20 min) | 1 x do: easy, talk all the way (30 min)',
        ],
      },
    },
    easy: {
      name: 'Easy engine and trunk',
      parts: {
        Main: [
          'rowing machine 1 x do: steady (30 min) | 1 x do: steady (40 min)',
          'plank 3 x 0:45 @ none rest 0:45',
          '+ back extension 3 x 12 @ none rest 0:45',
          'side plank 2 x 0:30 @ none rest 0:45',
        ],
      },
    },
    upper: {
      name: 'Upper',
      parts: {
        Main: [
          'pull: bench pull 4 x 6 @ rule',
          'bench: bench press 3 x 5 @ rule',
          'pull-up 3 x 5-8 @ none R2',
        ],
        After: ['face pull 2 x 15-20 @ free R2 rest 1:00', '+ hanging knee raise 2 x 10-15 @ none rest 1:00'],
      },
    },
    hard: {
      name: 'Hard engine',
      parts: {
        Main: [
          'power: power clean 4 x 3 @ rule',
          'rowing machine 6 x 500 m @ none rest 2:00 | 8 x 500 m @ none rest 2:00',
          'farmer’s carry 3 x 40 m @ free rest 1:30',
        ],
      },
    },
  },
  rules: {
    squat: { rule: 'linear', params: { startPercent: 65, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    hinge: { rule: 'linear', params: { startPercent: 55, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    pull: { rule: 'linear', params: { startPercent: 62, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    bench: { rule: 'linear', params: { startPercent: 65, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
    power: { rule: 'linear', params: { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 } },
  },
  tracks: ['lighter', 'short'],
})
