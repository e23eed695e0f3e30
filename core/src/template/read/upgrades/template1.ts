import { fieldIn, renameKeys, renameText, upgradeEach, upgradeFields } from '../../../parsing/index.ts'

// Template format 1 in the words of format 2. It reads JSON as it was stored or written, and prices nothing.

/** A template of format 1 as one of format 2. What is no template comes back as it is, for the reader to say what is wrong. */
export function templateFrom1(file: unknown): unknown {
  const head = upgradeFields(renameKeys(file, { lightPolicy: 'deloadPolicy' }), {
    format: () => 2,
    warmUp: warmUpFrom1,
    phases: (phases) => upgradeEach(phases, phaseFrom1),
    sessions: (sessions) => upgradeEach(sessions, sessionFrom1),
    slots: (slots) => upgradeEach(slots, slotFrom1),
    progressions: (progressions) => upgradeEach(progressions, progressionFrom1),
    tracks: (tracks) => upgradeEach(tracks, trackFrom1),
  })
  return head
}

export const phaseFrom1 = (phase: unknown): unknown =>
  upgradeFields(renameKeys(phase, { light: 'deloads' }), {
    weeks: lengthFrom1,
    deloads: adjustmentsFrom1,
  })

export const lengthFrom1 = (weeks: unknown): unknown => upgradeFields(weeks, { until: triggerFrom1 })

const triggerFrom1 = (trigger: unknown): unknown => renameKeys(trigger, { sign: 'trigger' })

export const sessionFrom1 = (session: unknown): unknown =>
  upgradeFields(renameKeys(session, { parts: 'sections' }), { sections: sectionsFrom1 })

export const sectionsFrom1 = (sections: unknown): unknown =>
  upgradeEach(sections, (section) =>
    upgradeFields(renameKeys(section, { turns: 'rotation' }), { rotation: rotationFrom1 }),
  )

const clockFrom1 = renameText({ place: 'day' })

/** Of a slot's exercises, or of a section's slots. */
export const rotationFrom1 = (rotation: unknown): unknown => upgradeFields(rotation, { by: clockFrom1 })

export const slotFrom1 = (slot: unknown): unknown =>
  upgradeFields(renameKeys(slot, { group: 'superset', follows: 'uses', turns: 'rotation' }), {
    uses: (uses) =>
      upgradeEach(uses, (use) =>
        upgradeFields(use, { role: (role) => renameKeys(role, { byPlace: 'byDay' }) }),
      ),
    rotation: rotationFrom1,
    by: clockFrom1,
    warmUp: warmUpFrom1,
    rows: (rows) => upgradeEach(rows, rowsFrom1),
  })

export const rowsFrom1 = (rows: unknown): unknown => upgradeEach(rows, rowFrom1)

export const rowFrom1 = (row: unknown): unknown =>
  upgradeEach(row, (sets) =>
    upgradeFields(renameKeys(sets, { part: 'kind' }), { goal: goalFrom1, load: loadFrom1 }),
  )

export const goalFrom1 = (goal: unknown): unknown => renameKeys(goal, { plus: 'amrap' })

export const loadFrom1 = (load: unknown): unknown =>
  fieldIn(load, 'of') === 'topSet' ? renameKeys(load, { group: 'prescription' }) : load

export const warmUpFrom1 = (warmUp: unknown): unknown =>
  fieldIn(warmUp, 'kind') === 'ladder'
    ? upgradeFields(renameKeys(warmUp, { rungs: 'sets' }), { kind: () => 'listed' })
    : warmUp

export const progressionFrom1 = (progression: unknown): unknown =>
  upgradeFields(progression, {
    stages: (stages) => upgradeEach(stages, stageFrom1),
    inPhases: (rules) => upgradeEach(rules, ruleFrom1),
  })

const stageFrom1 = (stage: unknown): unknown => upgradeFields(ruleFrom1(stage), { until: triggerFrom1 })

/** A rule and its parameters, as a stage, a phase or an edit has them. */
export function ruleFrom1(stage: unknown): unknown {
  const rule = fieldIn(stage, 'rule')
  return upgradeFields(stage, {
    rule: renameText(newRules),
    params: (params) => paramsFrom1(params, typeof rule === 'string' ? rule : ''),
  })
}
const newRules = { plusSet: 'amrapSet', reserveRamp: 'rirRamp' }

/** Parameters of a rule; where it is not said which, every name that was retired is taken for what it can only have been. */
export function paramsFrom1(params: unknown, rule?: string): unknown {
  const isOf = (kind: string) => rule === undefined || rule === kind
  return upgradeFields(
    renameKeys(params, {
      ...(isOf('reserveRamp') && { firstLeft: 'firstRir', lastLeft: 'lastRir' }),
      ...(isOf('doubleProgression') && { extraLeft: 'extraRir' }),
      ...(isOf('schemeLadder') && { rungs: 'schemes' }),
      ...(isOf('recordRotation') && { turns: 'rotation' }),
    }),
    {
      ...(isOf('doubleProgression') && { advanceWhen: renameText({ reserve: 'rir' }) }),
      ...(isOf('linear') && { onStall: renameText({ lightWeek: 'deload' }) }),
    },
  )
}

export const trackFrom1 = (track: unknown): unknown => upgradeFields(track, { changes: adjustmentsFrom1 })

export const adjustmentsFrom1 = (changes: unknown): unknown => upgradeEach(changes, adjustmentFrom1)

export const adjustmentFrom1 = (adjustment: unknown): unknown =>
  upgradeFields(adjustment, { do: changeFrom1 })

export function changeFrom1(change: unknown): unknown {
  const kind = fieldIn(change, 'kind')
  if (kind === 'highReps') return renameKeys(change, { left: 'rir' })
  return kind === 'rirAtLeast' ? renameKeys(change, { reps: 'rir' }) : change
}

/** A place of the upgraded template as the file of format 1 calls it: `phases[0].deloads[1]` is `phases[0].light[1]` there. */
export const placeIn1 = (path: string): string =>
  places1.reduce((now, [key, old]) => now.replace(key, old), path)

const places1: readonly (readonly [RegExp, string])[] = [
  [/^deloadPolicy/, 'lightPolicy'],
  [/^(phases\[\d+\])\.deloads/, '$1.light'],
  [/^(sessions\..+?\.sections\[\d+\])\.rotation/, '$1.turns'],
  [/^(sessions\..+?)\.sections/, '$1.parts'],
  [/^(slots\..+?)\.superset/, '$1.group'],
  [/^(slots\..+?)\.uses/, '$1.follows'],
  [/^(slots\..+?)\.rotation/, '$1.turns'],
  [/^(slots\..+?\.rows\..+\])\.kind$/, '$1.part'],
  [/\.goal\.amrap$/, '.goal.plus'],
  [/\.load\.prescription$/, '.load.group'],
  [/(^|\.)warmUp\.sets/, '$1warmUp.rungs'],
  [/\.until\.trigger/, '.until.sign'],
  [/\.params\.firstRir/, '.params.firstLeft'],
  [/\.params\.lastRir/, '.params.lastLeft'],
  [/\.params\.extraRir/, '.params.extraLeft'],
  [/\.params\.schemes/, '.params.rungs'],
  [/\.params\.rotation/, '.params.turns'],
]
