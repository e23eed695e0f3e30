import { fieldIn, renameKeys, renameText, upgradeEach, upgradeFields } from '../../parsing/index.ts'

/** A snapshot of format 1 as one of format 2: what was shown is the same, under the names of today. */
export const shownFrom1 = (shown: unknown): unknown =>
  upgradeFields(shown, { format: () => 2, slots: (slots) => upgradeEach(slots, slotFrom1) })

const slotFrom1 = (slot: unknown): unknown =>
  upgradeFields(renameKeys(slot, { light: 'deload', groups: 'sets' }), {
    sets: (sets) => upgradeEach(sets, setsFrom1),
    warmUps: (warmUps) => upgradeEach(warmUps, (set) => upgradeFields(set, { why: whyFrom1 })),
  })

const setsFrom1 = (sets: unknown): unknown =>
  upgradeFields(renameKeys(sets, { group: 'prescription', part: 'kind', plus: 'amrap' }), {
    today: (today) => renameKeys(today, { group: 'prescription' }),
    why: whyFrom1,
  })

const whyFrom1 = (why: unknown): unknown => upgradeEach(why, stepFrom1)

/** Steps carry the ids of the sentences that say them, and what fills these in. */
function stepFrom1(step: unknown): unknown {
  const id = fieldIn(step, 'id')
  if (typeof id !== 'string') return step
  return upgradeFields(step, {
    id: () => newIds[id] ?? id.replace(/^plusSet\./, 'amrapSet.').replace(/^reserveRamp\./, 'rirRamp.'),
    data: (data) =>
      upgradeFields(renameKeys(data, newData[id] ?? {}), { author: renameText({ light: 'deload' }) }),
  })
}

const newIds: Record<string, string> = {
  'reserveRamp.left': 'rirRamp.rir',
  'reserveRamp.light': 'rirRamp.deload',
  'linear.light': 'linear.deload',
  'muscleWeek.ceiling': 'muscleWeek.limit',
  'rirAtLeast.reps': 'rirAtLeast.rir',
}
const newData: Record<string, Record<string, string>> = {
  'reserveRamp.left': { left: 'rir' },
  'highReps.set': { left: 'rir' },
  'muscleWeek.ceiling': { ceiling: 'limit' },
  'rirAtLeast.reps': { reps: 'rir' },
}
