// The template.
export { setName } from './setName.ts'
export { setHead } from './setHead.ts'
// Phases.
export { addPhase } from './addPhase.ts'
export { removePhase } from './removePhase.ts'
export { movePhase } from './movePhase.ts'
export { setPhase } from './setPhase.ts'
export { setWeeks } from './setWeeks.ts'
export { setDeloads } from './setDeloads.ts'
// Sessions.
export { addSession } from './addSession.ts'
export { removeSession } from './removeSession.ts'
export { setSession } from './setSession.ts'
export { setSections } from './setSections.ts'
// Slots.
export { addSlot } from './addSlot.ts'
export { removeSlot } from './removeSlot.ts'
export { moveSlot } from './moveSlot.ts'
export { setSlot } from './setSlot.ts'
export { setSlotField } from './setSlotField.ts'
export { setExercise } from './setExercise.ts'
export { setWarmUp } from './setWarmUp.ts'
// Sets.
export { setCell } from './setCell.ts'
export { setRow } from './setRow.ts'
// Progressions.
export { setParams } from './setParams.ts'
export { setRule } from './setRule.ts'
export { setProgression } from './setProgression.ts'
// Tracks.
export { setTrack } from './setTrack.ts'
export { setTrackName } from './setTrackName.ts'
export { setChange } from './setChange.ts'
