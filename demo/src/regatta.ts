import type { SetPrescription, Slot, Template } from '@young-oak/core/template'
import type { Span } from '@young-oak/core/units'
import type { Adjustment } from '@young-oak/core/adjustments'

type Exercise = Slot['exercise']
const build = (row: SetPrescription[]): Slot['rows'] => ({ build: Array.from({ length: 6 }, () => row) })
const bare = { by: 'week' as const, uses: [] }

/** A made-up template with a test day, three tracks, and a squat that is one progression on three days. */
export const regattaLadder: Template = {
  format: 2,
  name: 'Regatta ladder',
  note: 'Six weeks of building, then a countdown to the club test. The test day may move: your weeks follow it.',
  maxes: { use: 'newest' },
  missed: 'hold',
  away: { weeks: 2, back: -10 },
  rounding: 'nearest',
  phases: [
    {
      id: 'build',
      name: 'Build',
      weeks: 6,
      rotation: ['volume', 'easy', 'heavy'],
      perWeek: 3,
      deloads: [
        { id: 'ease-load', do: { kind: 'scaleLoad', by: -10 }, where: { weeks: [4] } },
        { id: 'ease-sets', do: { kind: 'scaleSets', by: -40, round: 'up' }, where: { weeks: [4] } },
      ],
    },
    {
      id: 'countdown',
      name: 'Countdown',
      weeks: 6,
      rotation: ['test1', 'test2'],
      perWeek: 2,
      deloads: [],
      ends: 'test day',
    },
  ],
  sessions: {
    volume: {
      name: 'Volume',
      sections: [{ name: 'Main', slots: ['v-squat', 'v-bench', 'v-pull', 'v-knee'] }],
    },
    easy: { name: 'Easy', sections: [{ name: 'Main', slots: ['e-squat', 'e-press', 'e-chin', 'e-lunge'] }] },
    heavy: { name: 'Heavy', sections: [{ name: 'Main', slots: ['h-squat', 'h-dead', 'h-row'] }] },
    test1: {
      name: 'Legs to the test',
      sections: [{ name: 'Main', slots: ['t1-squat', 't1-bench', 't1-knee'] }],
    },
    test2: {
      name: 'Pull to the test',
      sections: [{ name: 'Main', slots: ['t2-dead', 't2-pull', 't2-row'] }],
    },
  },
  slots: {
    'v-squat': squat('volume', 5, 5, { of: 'progression' }, 180),
    'v-bench': {
      ...bare,
      exercise: 'benchPress',
      rows: build([
        prescribed('top', 1, 5, { of: 'max', percent: 82 }, 180, { kind: 'top' }),
        prescribed('back', 3, 5, { of: 'topSet', percent: 90 }, 150, { kind: 'backOff' }),
      ]),
    },
    'v-pull': { ...bare, exercise: 'benchPull', rows: waves(72, 6) },
    'v-knee': {
      ...bare,
      exercise: 'hangingKneeRaise',
      rows: build([prescribed('work', 3, 10, { of: 'none' }, 60)]),
    },
    'e-squat': squat('light', 2, 5, { of: 'role', role: 'volume', percent: 80 }, 120),
    'e-press': {
      exercise: 'overheadPress',
      by: 'week',
      uses: [{ progression: 'press', role: 'main' }],
      rows: build([prescribed('work', 3, { from: 6, to: 8 }, { of: 'progression' }, 150)]),
    },
    'e-chin': { ...bare, exercise: 'chinUp', rows: build([prescribed('work', 3, 6, { of: 'none' }, 120)]) },
    'e-lunge': { ...bare, exercise: 'lunge', rows: build([prescribed('work', 2, 10, { of: 'free' }, 60)]) },
    'h-squat': squat('heavy', 1, 5, { of: 'progression' }, 240),
    'h-dead': {
      exercise: 'deadlift',
      by: 'week',
      uses: [{ progression: 'deadlift', role: 'main' }],
      rows: build([prescribed('work', 1, 5, { of: 'progression' }, 240)]),
    },
    'h-row': { ...bare, exercise: 'barbellRow', rows: build([prescribed('work', 3, 8, { of: 'free' }, 90)]) },
    't1-squat': countdown('backSquat'),
    't1-bench': countdown('benchPress'),
    't1-knee': {
      ...bare,
      exercise: 'hangingKneeRaise',
      rows: { countdown: Array.from({ length: 6 }, () => [prescribed('work', 2, 10, { of: 'none' }, 60)]) },
    },
    't2-dead': countdown('deadlift'),
    't2-pull': countdown('benchPull'),
    't2-row': {
      ...bare,
      exercise: 'seatedCableRow',
      rows: { countdown: Array.from({ length: 6 }, () => [prescribed('work', 2, 10, { of: 'free' }, 60)]) },
    },
    'extra-split': {
      ...bare,
      exercise: 'splitSquat',
      rows: build([prescribed('work', 2, 8, { of: 'free' }, 90)]),
    },
  },
  progressions: {
    squat: {
      stages: [
        {
          id: 'one',
          rule: 'volumeHeavy',
          params: {
            startPercent: 72,
            heavyPercent: 110,
            volumeStep: { kg: 2.5, lb: 5 },
            heavyStep: { kg: 2.5, lb: 5 },
            misses: 2,
            resetBy: 8,
          },
        },
      ],
    },
    press: {
      stages: [
        {
          id: 'one',
          rule: 'doubleProgression',
          params: {
            startPercent: 70,
            advanceWhen: 'oneAtTop',
            step: { kg: 2.5, lb: 5 },
            misses: 2,
            resetBy: 10,
          },
        },
      ],
    },
    deadlift: {
      stages: [
        {
          id: 'quick',
          rule: 'linear',
          params: { startPercent: 74, step: { kg: 5, lb: 10 }, misses: 3, resetBy: 10 },
          until: { trigger: 'stalled', misses: 2, of: 3 },
        },
        {
          id: 'slow',
          rule: 'linear',
          params: { startPercent: 70, startLast: 92.5, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
        },
      ],
    },
  },
  tracks: {
    lighter: {
      name: 'Lighter',
      changes: [
        change('load', { kind: 'scaleLoad', by: -8 }),
        change(
          'sets',
          { kind: 'scaleSets', by: -25, round: 'up' },
          { sessions: ['volume', 'easy', 'heavy'] },
        ),
        change('stop', { kind: 'rirAtLeast', rir: 2 }, { phases: ['build'] }),
      ],
    },
    heavier: {
      name: 'Heavier',
      changes: [
        change('points', { kind: 'points', by: 3 }, { phases: ['build'] }),
        change('split', { kind: 'add', slot: 'extra-split', after: 'e-lunge' }),
      ],
    },
    twoDays: {
      name: 'Two days',
      changes: [
        change(
          'days',
          { kind: 'rotation', rotation: ['volume', 'heavy'], perWeek: 2 },
          { phases: ['build'] },
        ),
        change('knee', { kind: 'drop' }, { slots: ['v-knee', 't1-knee'] }),
        change('row', { kind: 'swap', exercise: 'dumbbellRow' }, { slots: ['h-row'] }),
      ],
    },
  },
}

function prescribed(
  id: string,
  sets: number,
  reps: Span,
  load: SetPrescription['load'],
  rest: number,
  more: Partial<SetPrescription> = {},
): SetPrescription {
  return { id, sets, goal: { reps }, load, rest, ...more }
}

function change(id: string, what: Adjustment['do'], where: Adjustment['where'] = {}): Adjustment {
  return { id, do: what, where }
}

function squat(role: string, sets: number, reps: number, load: SetPrescription['load'], rest: number): Slot {
  return {
    exercise: 'backSquat',
    by: 'week',
    uses: [{ progression: 'squat', role }],
    rows: build([prescribed('work', sets, reps, load, rest)]),
  }
}

/** Two and a half points more each week, but for the light one. */
function waves(from: number, reps: number): Slot['rows'] {
  return {
    build: Array.from({ length: 6 }, (_, week) => [
      prescribed('work', 4, reps - Math.floor(week / 2), { of: 'max', percent: from + 2.5 * week }, 150),
    ]),
  }
}

/** Six rows counted back from the test: heavier and fewer, then a short week and the test single. */
function countdown(exercise: Exercise): Slot {
  const rows: [number, number, number][] = [
    [3, 5, 77.5],
    [3, 4, 82.5],
    [3, 3, 86],
    [3, 2, 90],
    [2, 2, 80],
  ]
  return {
    exercise,
    by: 'toTest',
    uses: [],
    capStep: { kg: 5, lb: 10 },
    rows: {
      countdown: [
        ...rows.map(([sets, reps, percent]) => [prescribed('work', sets, reps, { of: 'max', percent }, 240)]),
        [prescribed('test', 1, 1, { of: 'max', percent: 102 }, 300, { kind: 'test' })],
      ],
    },
  }
}
