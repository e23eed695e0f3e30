import type { Span } from '@young-oak/core/units'
import type { SetPrescription, Slot, Template } from '@young-oak/core/template'

/** Two made-up templates of different kinds: loads by a rule on a rotation, and waves of percent with a training max. */
export const tidewayBase: Template = {
  format: 2,
  name: 'Tideway base',
  note: 'Three days a week, two alternating sessions. Add a little each time you make every rep.',
  maxes: { use: 'newest' },
  missed: 'hold',
  rounding: 'nearest',
  warmUp: { kind: 'fewSets', sets: 3 },
  phases: [
    {
      id: 'base',
      name: 'Base',
      weeks: 10,
      rotation: ['a', 'b'],
      perWeek: 3,
      deloads: [{ id: 'ease', do: { kind: 'scaleLoad', by: -12 }, where: { weeks: [5] } }],
    },
  ],
  sessions: {
    a: {
      name: 'Session A',
      sections: [
        { name: 'Main', slots: ['a-squat', 'a-bench', 'a-row'] },
        { name: 'After', minutes: 10, slots: ['a-lunge', 'a-knee'] },
      ],
    },
    b: {
      name: 'Session B',
      sections: [
        { name: 'Main', slots: ['b-squat', 'b-press', 'b-deadlift'] },
        { name: 'After', minutes: 10, slots: ['b-chin', 'b-back'] },
      ],
    },
  },
  slots: {
    'a-squat': ruled('backSquat', 'squat', 3, 5, 180),
    'a-bench': ruled('benchPress', 'bench', 3, 5, 180),
    'a-row': ruled('barbellRow', 'row', 3, 8, 120),
    'a-lunge': free('lunge', 'C', 2, 10),
    'a-knee': bare('hangingKneeRaise', 'C', 2, 10),
    'b-squat': ruled('backSquat', 'squat', 3, 5, 180),
    'b-press': ruled('overheadPress', 'press', 3, 5, 180),
    'b-deadlift': ruled('deadlift', 'deadlift', 1, 5, 240),
    'b-chin': {
      ...bare('chinUp', 'C', 3, 5),
      rows: tenWeeks({ id: 'work', sets: 4, goal: { totalReps: 15 }, load: { of: 'none' }, rest: 60 }),
    },
    'b-back': bare('backExtension', 'C', 2, 12),
  },
  progressions: {
    squat: linear(60, 2.5, 5),
    bench: linear(70, 1.25, 2.5),
    row: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startLoad: { kg: 30, lb: 65 }, step: { kg: 1.25, lb: 2.5 }, misses: 3, resetBy: 10 },
        },
      ],
    },
    press: linear(72, 1.25, 2.5),
    deadlift: linear(72, 5, 10),
  },
  tracks: {},
}

const ladder: Template['warmUp'] = {
  kind: 'listed',
  bar: 10,
  sets: [
    { percent: 40, reps: 5 },
    { percent: 60, reps: 3 },
    { percent: 80, reps: 2 },
  ],
}

export const estuaryWaves: Template = {
  format: 2,
  name: 'Estuary waves',
  note: 'Four days, two waves of three weeks with a deload behind each. Last set of the main lift: as many good reps as there are, stopping at 1 RIR.',
  trainingMax: 95,
  maxes: { use: 'newest' },
  missed: 'hold',
  rounding: 'nearest',
  warmUp: ladder,
  phases: [wavePhase('first', 'First wave'), wavePhase('second', 'Second wave')],
  sessions: {
    lower1: {
      name: 'Lower, squat',
      sections: [{ name: 'Main', slots: ['l1-squat', 'l1-hinge', 'l1-leg', 'l1-trunk'] }],
    },
    upper1: {
      name: 'Upper, bench',
      sections: [{ name: 'Main', slots: ['u1-bench', 'u1-pull', 'u1-row', 'u1-arm'] }],
    },
    lower2: {
      name: 'Lower, deadlift',
      sections: [
        { name: 'Main', slots: ['l2-dead', 'l2-squat', 'l2-leg'] },
        { name: 'After', slots: ['l2-trunk', 'l2-slip'] },
      ],
    },
    upper2: {
      name: 'Upper, press',
      sections: [{ name: 'Main', slots: ['u2-press', 'u2-bench', 'u2-row', 'u2-pull'] }],
    },
  },
  slots: {
    'l1-squat': waves('backSquat'),
    'l1-hinge': rows('romanianDeadlift', { of: 'free' }, 3, { from: 8, to: 10 }, 120),
    'l1-leg': {
      exercise: 'splitSquat',
      by: 'week',
      uses: [],
      rows: bothPhases(
        fourTimes({
          id: 'work',
          sets: 3,
          goal: { reps: { from: 8, to: 12 } },
          load: { of: 'lastTime' },
          rir: 2,
          rest: 90,
          perSide: true,
          tempo: '3010',
        }),
      ),
    },
    'l1-trunk': rows('hangingKneeRaise', { of: 'none' }, 3, 10, 60),
    'u1-bench': waves('benchPress'),
    'u1-pull': rows('pullUp', { of: 'max', percent: 80 }, 4, { from: 4, to: 6 }, 120),
    'u1-row': rows('seatedCableRow', { of: 'free' }, 3, { from: 10, to: 12 }, 90),
    'u1-arm': rows('dumbbellCurl', { of: 'free' }, 2, { from: 10, to: 12 }, 60),
    'l2-dead': waves('deadlift'),
    'l2-squat': {
      exercise: 'backSquat',
      by: 'week',
      uses: [],
      rows: bothPhases(
        [60, 62.5, 65, 60].map((percent) => [
          { id: 'easy', sets: 3, goal: { reps: 5 }, load: { of: 'trainingMax', percent }, rest: 120 },
        ]),
      ),
    },
    'l2-leg': rows('legCurl', { of: 'free' }, 3, { from: 10, to: 12 }, 60),
    'l2-trunk': {
      exercise: 'plank',
      by: 'week',
      uses: [],
      rows: bothPhases(
        fourTimes({ id: 'work', sets: 3, goal: { seconds: 45 }, load: { of: 'none' }, rest: 45 }),
      ),
    },
    'l2-slip': slipwayCircuit(),
    'u2-press': waves('overheadPress'),
    'u2-bench': {
      exercise: 'benchPress',
      by: 'week',
      uses: [],
      rows: bothPhases(
        [62.5, 65, 67.5, 60].map((percent) => [
          { id: 'easy', sets: 3, goal: { reps: 6 }, load: { of: 'trainingMax', percent }, rest: 120 },
        ]),
      ),
    },
    'u2-row': rows('dumbbellRow', { of: 'free' }, 3, { from: 8, to: 12 }, 90),
    'u2-pull': rows('chinUp', { of: 'none' }, 3, { from: 4, to: 8 }, 120),
  },
  progressions: {},
  tracks: {},
}

function wavePhase(id: string, name: string): Template['phases'][number] {
  return {
    id,
    name,
    weeks: 4,
    rotation: ['lower1', 'upper1', 'lower2', 'upper2'],
    perWeek: 4,
    deloads: [
      { id: `${id}-points`, do: { kind: 'points', by: -10 }, where: { weeks: [4] } },
      { id: `${id}-sets`, do: { kind: 'scaleSets', by: -40, round: 'up' }, where: { weeks: [4] } },
    ],
  }
}

/** Three rising weeks and the one that is lightened; the second phase a little heavier than the first. */
function waves(exercise: Slot['exercise']): Slot {
  const week = (reps: number, work: number, last: number, isPlus = true): SetPrescription[] => [
    { id: 'work', sets: 3, goal: { reps }, load: { of: 'trainingMax', percent: work }, rest: 180 },
    {
      id: 'last',
      sets: 1,
      goal: { reps, ...(isPlus && { amrap: 'last' as const }) },
      load: { of: 'trainingMax', percent: last },
      rest: 240,
    },
  ]
  const phase = (more: number) => [
    week(6, 80 + more, 83 + more),
    week(5, 84 + more, 87 + more),
    week(4, 87 + more, 91 + more),
    week(6, 80 + more, 80 + more, false),
  ]
  return { exercise, by: 'week', uses: [], rows: { first: phase(0), second: phase(2) } }
}

function rows(
  exercise: Slot['exercise'],
  load: SetPrescription['load'],
  sets: number,
  reps: Span,
  rest: number,
): Slot {
  const week = () => [{ id: 'work', sets, goal: { reps }, load, rir: 2, rest }]
  return { exercise, by: 'week', uses: [], rows: bothPhases([week(), week(), week(), week()]) }
}

function fourTimes(prescribed: SetPrescription): SetPrescription[][] {
  return Array.from({ length: 4 }, () => [prescribed])
}

/** One scored thing at the end of a session. */
function slipwayCircuit(): Slot {
  const line = (
    id: string,
    lift: SetPrescription['lift'],
    goal: SetPrescription['goal'],
    load: SetPrescription['load'],
  ): SetPrescription => ({
    id,
    sets: 1,
    lift,
    goal,
    load,
  })
  const lines = [
    line(
      'row',
      { exercise: 'barbellRow' },
      { reps: 10 },
      { of: 'otherMax', exercise: 'benchPress', percent: 45 },
    ),
    line('push', { exercise: 'pushUp' }, { reps: 12 }, { of: 'none' }),
    line('walk', { exercise: 'lunge' }, { distance: 20, unit: 'm' }, { of: 'none' }),
  ]
  return {
    exercise: 'barbellRow',
    circuit: { name: 'Slipway circuit', by: 'time', rounds: 3, capSeconds: 720 },
    by: 'week',
    uses: [],
    rows: bothPhases([lines, lines, lines, lines]),
  }
}

function bothPhases(weeks: SetPrescription[][]): Slot['rows'] {
  return { first: weeks, second: weeks }
}

function ruled(
  exercise: Slot['exercise'],
  progression: string,
  sets: number,
  reps: number,
  rest: number,
): Slot {
  return {
    exercise,
    by: 'week',
    uses: [{ progression, role: 'main' }],
    rows: tenWeeks({ id: 'work', sets, goal: { reps }, load: { of: 'progression' }, rest }),
  }
}

function free(exercise: Slot['exercise'], prescribed: string, sets: number, reps: number): Slot {
  return {
    exercise,
    superset: prescribed,
    by: 'week',
    uses: [],
    rows: tenWeeks({ id: 'work', sets, goal: { reps }, load: { of: 'free' }, rir: 3, rest: 60 }),
  }
}

function bare(exercise: Slot['exercise'], prescribed: string, sets: number, reps: number): Slot {
  return {
    exercise,
    superset: prescribed,
    by: 'week',
    uses: [],
    rows: tenWeeks({ id: 'work', sets, goal: { reps }, load: { of: 'none' }, rest: 60 }),
  }
}

function tenWeeks(prescribed: SetPrescription): Slot['rows'] {
  return { base: Array.from({ length: 10 }, () => [prescribed]) }
}

function linear(startPercent: number, kg: number, lb: number): Template['progressions'][string] {
  return {
    stages: [
      { id: 'one', rule: 'linear', params: { startPercent, step: { kg, lb }, misses: 3, resetBy: 10 } },
    ],
  }
}
