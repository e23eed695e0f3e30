import { fieldIn, renameKeys, renameText, upgradeEach, upgradeFields } from '../../../parsing/index.ts'
import {
  adjustmentFrom1,
  adjustmentsFrom1,
  goalFrom1,
  lengthFrom1,
  loadFrom1,
  paramsFrom1,
  phaseFrom1,
  progressionFrom1,
  rotationFrom1,
  rowFrom1,
  rowsFrom1,
  ruleFrom1,
  sectionsFrom1,
  sessionFrom1,
  slotFrom1,
  trackFrom1,
  warmUpFrom1,
} from '../../read/upgrades/template1.ts'

// Edits of format 1 in the words of format 2: those in the database, and those that a browser of an earlier build kept.

type Upgrade = (field: unknown) => unknown

/** An edit of format 1 as one of format 2; what is none, or has a name that nobody knows, comes back as it is. */
export function commandFrom1(command: unknown): unknown {
  // None of several is several again, so nothing nested as deep as somebody likes is walked down.
  return fieldIn(command, 'do') === 'several'
    ? upgradeFields(command, { commands: (commands) => upgradeEach(commands, singleFrom1) })
    : singleFrom1(command)
}

function singleFrom1(command: unknown): unknown {
  const name = fieldIn(command, 'do')
  const own = typeof name === 'string' && Object.hasOwn(upgrades, name) ? upgrades[name] : undefined
  return own ? own(command) : command
}

const fromAndTo = (by: Upgrade): Record<string, Upgrade> => ({ from: by, to: by })
const fields =
  (by: Record<string, Upgrade>): Upgrade =>
  (command) =>
    upgradeFields(command, by)
const phaseRows: Upgrade = (rows) => upgradeEach(rows, rowsFrom1)

const spotFrom1: Upgrade = (spot) => renameKeys(spot, { part: 'section' })

const phase = fields({ value: phaseFrom1, rows: phaseRows })
const session = fields({ value: sessionFrom1 })
const slot: Upgrade = (command) =>
  upgradeFields(renameKeys(command, { part: 'section' }), { value: slotFrom1 })

const upgrades: Record<string, Upgrade> = {
  setHead: (command) =>
    upgradeFields(command, {
      field: renameText({ lightPolicy: 'deloadPolicy' }),
      ...(fieldIn(command, 'field') === 'warmUp' && fromAndTo(warmUpFrom1)),
    }),
  addPhase: phase,
  removePhase: phase,
  setWeeks: fields({ ...fromAndTo(lengthFrom1), rows: phaseRows }),
  setLight: fields({ do: () => 'setDeloads', ...fromAndTo(adjustmentsFrom1) }),
  addSession: session,
  removeSession: session,
  setParts: fields({ do: () => 'setSections', ...fromAndTo(sectionsFrom1) }),
  addSlot: slot,
  removeSlot: slot,
  moveSlot: fields(fromAndTo(spotFrom1)),
  setSlot: fields(fromAndTo(slotFrom1)),
  setSlotField: (command) =>
    upgradeFields(command, {
      field: renameText({ group: 'superset', turns: 'rotation' }),
      ...(fieldIn(command, 'field') === 'turns' && fromAndTo(rotationFrom1)),
    }),
  setWarmUp: fields(fromAndTo(warmUpFrom1)),
  setCell: (command) =>
    upgradeFields(renameKeys(command, { group: 'prescription' }), {
      field: renameText({ part: 'kind' }),
      ...fromAndTo(cellFrom1(fieldIn(command, 'field'))),
    }),
  setRow: fields(fromAndTo(rowFrom1)),
  setParams: fields(fromAndTo((params) => paramsFrom1(params))),
  setRule: fields(fromAndTo(ruleFrom1)),
  setProgression: fields(fromAndTo(progressionFrom1)),
  setTrack: fields(fromAndTo(trackFrom1)),
  setChange: fields(fromAndTo(adjustmentFrom1)),
}

function cellFrom1(field: unknown): Upgrade {
  if (field === 'goal') return goalFrom1
  return field === 'load' ? loadFrom1 : (value) => value
}
