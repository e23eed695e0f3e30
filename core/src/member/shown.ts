import {
  idField,
  laterField,
  numberField,
  strictObject,
  textField,
  wholeField,
  type Checker,
  at,
} from '../parsing/index.ts'
import type { Shown } from './types.ts'
import { shownFormat, upgradeShown } from './upgrades/index.ts'

/**
 * The one place where snapshots are read. They carry a format number of their own, since they are kept for as long as the
 * history is; a later format is brought up from the earlier ones here.
 */

export const shownShape = strictObject({
  format: numberField('the number 2, the format of snapshots', shownFormat, shownFormat).required(),
  engine: textField('the release of the engine', 40).required(),
  version: idField('the version that was shown').required(),
  at: strictObject({
    phase: idField('a phase').required(),
    week: wholeField('a week of the plan', 1, 1000).required(),
    phaseWeek: wholeField('a week of the phase', 1, 1000).required(),
    inWeek: wholeField('a day of the week', 1, 20).required(),
    session: idField('a session').required(),
    deload: strictObject({
      fact: idField('the deload').required(),
      week: wholeField('a week of the deload', 1, 20).required(),
    })
      .nullable()
      .default(undefined),
    toTest: wholeField('weeks to the test day', 0, 1000),
  })
    .default(undefined)
    .required()
    .meta({ expected: 'where in the plan it stood' }),
  slots: laterField('what was shown, by slot').required(),
})

/** Reads a snapshot, or notes its faults. Its prescriptions are the engine's own output and are taken as they are. */
export function readShown(checker: Checker, value: unknown, path: string): Shown | undefined {
  const shown = checker.check(shownShape, upgradeShown(value), path)
  if (!shown) return undefined
  for (const [id, slot] of checker.entries(shown.slots, at(path, 'slots'), 'what was shown, by slot')) {
    const { sets } = (slot ?? {}) as { sets?: unknown }
    if (!Array.isArray(sets)) checker.add(at(at(at(path, 'slots'), id), 'sets'), 'a list of sets', sets)
  }
  return shown as unknown as Shown
}
