import type { Slot, Template } from '@young-oak/core/template'

const weeks = 10
const byRule = { of: 'progression' } as const

/** A made-up template whose sets follow a weekly count and what is said after sessions, and whose loads beat the last by a little. */
export const mudflatSets: Template = {
  format: 2,
  name: 'Mudflat sets',
  note: 'Three days. Say after each session how worked you feel: your sets follow it.',
  maxes: {
    use: 'newest',
    ratios: ['blocks 20 cm', 'blocks 10 cm'].map((variant, i) => ({
      lift: { exercise: 'deadlift' as const, variant },
      of: { exercise: 'deadlift' as const },
      percent: i ? 104 : 108,
    })),
  },
  missed: 'hold',
  away: { weeks: 2, back: -10 },
  rounding: 'nearest',
  warmUp: { kind: 'fewSets', sets: 2 },
  phases: [{ id: 'p', name: 'Build', weeks, rotation: ['a', 'b', 'c'], perWeek: 3, deloads: [] }],
  sessions: {
    a: {
      name: 'Squat and press',
      sections: [
        { name: 'Main', slots: ['a-squat', 'a-bench', 'a-row'] },
        { name: 'After', slots: ['a-plank'] },
      ],
    },
    b: {
      name: 'Pull',
      sections: [
        { name: 'Main', slots: ['b-pull', 'b-shoulder'] },
        { name: 'Arms', slots: ['b-curl', 'b-push'], rotation: { by: 'week', every: 1 } },
      ],
    },
    c: { name: 'Legs and chest', sections: [{ name: 'Main', slots: ['c-leg', 'c-incline'] }] },
  },
  slots: {
    'a-squat': slot('backSquat', 3, { from: 6, to: 8 }, byRule, [
      { progression: 'quads', role: 'first' },
      { progression: 'squat', role: 'main' },
    ]),
    'a-bench': slot('benchPress', 3, { from: 6, to: 8 }, byRule, [
      { progression: 'chest', role: 'first' },
      { progression: 'bench', role: 'main' },
    ]),
    'a-row': {
      ...slot('barbellRow', 3, 8, { of: 'free' }, []),
      rotation: { with: [{ exercise: 'seatedCableRow' }], by: 'week', every: 3 },
    },
    'a-plank': {
      exercise: 'plank',
      by: 'week',
      uses: [{ progression: 'plank', role: 'main' }],
      rows: everyWeek({ id: 'hold', sets: 2, goal: { seconds: 30 }, load: { of: 'none' }, rest: 60 }),
    },
    'b-pull': slot('deadlift', 3, 5, byRule, [
      { progression: 'range', role: 'main' },
      { progression: 'pull', role: 'main' },
    ]),
    'b-shoulder': slot('dumbbellShoulderPress', 3, { from: 8, to: 12 }, byRule, [
      { progression: 'shoulder', role: 'main' },
    ]),
    'b-curl': slot('dumbbellCurl', 2, { from: 10, to: 12 }, { of: 'free' }, []),
    'b-push': slot('tricepsPushdown', 2, { from: 10, to: 12 }, { of: 'free' }, []),
    'c-leg': slot('frontSquat', 2, { from: 8, to: 10 }, { of: 'lastTime' }, [
      { progression: 'quads', role: 'second' },
    ]),
    'c-incline': slot('inclineBenchPress', 2, { from: 8, to: 10 }, { of: 'lastTime' }, [
      { progression: 'chest', role: 'second' },
    ]),
  },
  progressions: {
    quads: muscle('quads'),
    chest: muscle('chest'),
    squat: ramp(5, 10),
    bench: ramp(2.5, 5),
    range: {
      stages: [
        { id: 'one', rule: 'rangeStep', params: { ranges: ['blocks 20 cm', 'blocks 10 cm'], hits: 4 } },
      ],
    },
    pull: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startPercent: 70, step: { kg: 5, lb: 10 }, misses: 2, resetBy: 10, onStall: 'deload' },
        },
      ],
    },
    shoulder: {
      stages: [
        {
          id: 'one',
          rule: 'earnedLoad',
          params: { startLoad: { kg: 10, lb: 20 }, mostReps: 15, misses: 2, resetBy: 10 },
        },
      ],
    },
    plank: {
      stages: [
        { id: 'one', rule: 'moreAmount', params: { first: 30, add: 5, most: 90, misses: 2, lowerBy: 20 } },
      ],
    },
  },
  tracks: {},
}

function everyWeek(prescribed: Slot['rows'][string][number][number]): Slot['rows'] {
  return { p: Array.from({ length: weeks }, () => [prescribed]) }
}

function slot(
  exercise: Slot['exercise'],
  sets: number,
  reps: number | { from: number; to: number },
  load: Slot['rows'][string][number][number]['load'],
  uses: Slot['uses'],
): Slot {
  const rir = load.of === 'progression' ? {} : { rir: 2 }
  return {
    exercise,
    by: 'week',
    uses,
    rows: everyWeek({ id: 'work', sets, goal: { reps }, load, ...rir, rest: 120 }),
  }
}

function muscle(name: 'quads' | 'chest'): Template['progressions'][string] {
  const params = { muscle: name, first: 6, most: 12, add: 1, answersAdd: 2, weeks: 5, lowerWeek: 60, cap: 7 }
  return { stages: [{ id: 'one', rule: 'muscleWeek', params }] }
}

/** Beats the last by a little; outgrown, it offers to go on by reps first. */
function ramp(kg: number, lb: number): Template['progressions'][string] {
  const step = { kg, lb }
  return {
    stages: [
      {
        id: 'one',
        rule: 'rirRamp',
        params: {
          startPercent: 55,
          firstRir: 3,
          lastRir: 1,
          every: 2,
          by: 'load',
          step,
          mostRise: 12,
          unbeaten: 2,
          resetBy: 10,
        },
        until: { trigger: 'outgrown', exposures: 4 },
        offers: true,
      },
      {
        id: 'two',
        rule: 'doubleProgression',
        params: { startPercent: 65, startLast: 95, advanceWhen: 'allAtTop', step, misses: 2, resetBy: 10 },
      },
    ],
  }
}
