export { type Built, faultOf, type Mint } from './built.ts'
export { giveBack, isFixable, setCells } from './cells.ts'
export { setClock } from './clock.ts'
export { emptyTemplate } from './empty.ts'
export { joinSlots, makeCircuit, ungroupSlots as partSlots } from './joinSlots.ts'
export {
  addSets,
  knownProgression,
  removeSets,
  rowCommands,
  type Typed,
  typeNewSlot,
  typeOverSlot,
} from './lines.ts'
export { type Pasted, pasteSlots } from './paste.ts'
export {
  addPhase,
  movePhase,
  removePhase,
  repeatPhase,
  resizePhase,
  setRotation,
  setTestDay,
  splitPhase,
} from './phases.ts'
export { removeSession } from './removeSession.ts'
export { removeSlots } from './removeSlots.ts'
export { replaceExercise } from './replaceExercise.ts'
export { addSession, copySession, moveSession, placeSession } from './sessions.ts'
export { copySlots, moveSlots, nudgeSlot } from './slots.ts'
export { onlyInTrack, removeChange, removeTrack } from './tracks.ts'
