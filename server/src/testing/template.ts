import type { Template } from '@young-oak/core/template'

/** A small template with both kinds of load: a progression for the squat, a percent for the bench press. */
export const smallTemplate = (): Template => ({
  format: 2,
  name: 'Small',
  maxes: { use: 'newest' },
  missed: 'hold',
  rounding: 'nearest',
  phases: [{ id: 'p', name: 'Block', weeks: 2, rotation: ['d'], perWeek: 2, deloads: [] }],
  sessions: { d: { name: 'Day', sections: [{ name: 'Main', slots: ['squat', 'bench'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      by: 'week',
      uses: [{ progression: 'squat', role: 'main' }],
      rows: {
        p: [
          [{ id: 'a', sets: 2, goal: { reps: 5 }, load: { of: 'progression' }, rest: 120 }],
          [{ id: 'a', sets: 2, goal: { reps: 5 }, load: { of: 'progression' }, rest: 120 }],
        ],
      },
    },
    bench: {
      exercise: 'benchPress',
      by: 'week',
      uses: [],
      rows: {
        p: [
          [{ id: 'a', sets: 1, goal: { reps: 5 }, load: { of: 'max', percent: 75 } }],
          [{ id: 'a', sets: 1, goal: { reps: 5 }, load: { of: 'max', percent: 80 } }],
        ],
      },
    },
  },
  progressions: {
    squat: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
        },
      ],
    },
  },
  tracks: {},
})
