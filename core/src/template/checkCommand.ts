import { object } from 'yup'
import { ruleKinds, ruleOf } from '../progressions/registry.ts'
import { at, Checker, exerciseField, idField, textField, type Issue } from '../reading/index.ts'
import { applyCommand, isConflict, same, type Command } from './edit.ts'
import { findOverMax, findSlotEnds, findUnheard } from './slotEnds.ts'
import { findRules } from './looseEnds.ts'
import { readGoal, readLoad, readProgression, readSlot, readWarmUp } from './read.ts'
import { readLight } from './readAdjustment.ts'
import { headShape, phaseShape, setGroupShape } from './shape.ts'
import { rowWeeks, type Id, type Slot, type Template } from './types.ts'

/**
 * The faults of a command's own value, located as in a file. Only the piece that it touches is read, so that saving an edit
 * costs the same in a template of any size; the whole is read at import and at publishing.
 */
export function checkCommand(draft: Template, command: Command): Issue[] {
  const checker = new Checker()
  check(checker, draft, command)
  return checker.issues
}

function check(checker: Checker, draft: Template, command: Command): void {
  switch (command.do) {
    case 'setName':
      return void checker.check(headShape.pick(['name']), { name: command.to }, '')
    case 'setHead':
      return checkHead(checker, draft, command)
    case 'setCell':
      return checkCell(checker, draft, command)
    case 'setExercise':
      return checkExercise(checker, draft, command)
    case 'setWarmUp': {
      const { slot, to } = command
      if (to === null || to === 'none') return
      return void readWarmUp(checker, to, at(at('slots', slot), 'warmUp'))
    }
    case 'setParams': {
      const stage = draft.progressions[command.progression]?.stages.find(({ id }) => id === command.stage)
      const path = `progressions.${command.progression}.stages.params`
      return void (stage && checker.check(ruleOf[stage.rule].params, command.to ?? null, path))
    }
    case 'setRule':
      return checkRule(checker, draft, command)
    case 'setProgression':
      return checkProgression(checker, draft, command)
    case 'setLight': {
      const { phase: id, to } = command
      const phase = draft.phases.find((one) => one.id === id)
      const path = `phases.${id}.light`
      if (!phase || !checker.check(phaseShape.pick(['light']), { light: to ?? null }, '')) return
      return to.forEach((one, i) => void readLight(checker, one, at(path, i), rowWeeks(phase)))
    }
    case 'addSlot':
      return void checkSlot(checker, draft, command.slot, command.value)
    case 'setSlot': {
      const slot = checkSlot(checker, draft, command.slot, command.to)
      return slot && findUnheard(checker, draft, slot, at('slots', command.slot))
    }
    case 'removeSlot':
      return
    case 'several':
      return checkSeveral(checker, draft, command)
  }
}

type Of<K extends Command['do']> = Extract<Command, { do: K }>

/** Each of several commands is checked against the draft as those before it leave it. */
function checkSeveral(checker: Checker, draft: Template, { commands }: Of<'several'>): void {
  let at = draft
  for (const one of commands) {
    check(checker, at, one)
    const next = applyCommand(at, one)
    if (!isConflict(next)) at = next
  }
}

/** A draft holds what was sent, so nothing may be left to a default. */
function checkSlot(checker: Checker, draft: Template, id: Id, value: Slot): Slot | undefined {
  const path = at('slots', id)
  checker.check(object({ id: idField('a slot’s id').required() }), { id }, path)
  const slot = readSlot(checker, value, path, draft.phases)
  if (!slot) return undefined
  const expected = 'a slot written out in full, with "follows", "by" and a row for each week'
  if (!same(slot, value)) checker.add(path, expected, value)
  findOverMax(checker, draft, slot, path)
  findSlotEnds(checker, draft, slot, path)
  return slot
}

function checkHead(checker: Checker, draft: Template, { field, to }: Of<'setHead'>): void {
  if (to === null && (field === 'maxes' || field === 'rounding' || field === 'missed'))
    return checker.add(field, 'a value', to)
  if (to !== null && field === 'warmUp') return void readWarmUp(checker, to, field)
  if (to !== null) checker.check(headShape.pick([field]), { [field]: to }, '')
  if (field !== 'trainingMax' || to !== null) return
  const { trainingMax: _, ...without } = draft
  for (const [id, slot] of Object.entries(draft.slots)) findSlotEnds(checker, without, slot, at('slots', id))
}

/** A rule must be one that there is, with its own numbers, and every slot that feeds it must be able to carry it. */
function checkRule(checker: Checker, draft: Template, command: Of<'setRule'>): void {
  const { progression: id, to } = command
  const path = `progressions.${id}.stages`
  if (!ruleKinds.includes(to?.rule))
    return checker.add(`${path}.rule`, `one of ${ruleKinds.join(', ')}`, to?.rule)
  if (!checker.check(ruleOf[to.rule].params, to.params ?? null, `${path}.params`)) return
  checkFollowers(checker, draft, command)
}

function checkProgression(checker: Checker, draft: Template, command: Of<'setProgression'>): void {
  const { progression: id } = command
  const path = at('progressions', id)
  if (command.to === null) {
    const follower = Object.entries(draft.slots).find(([, { follows }]) =>
      follows.some(({ progression }) => progression === id),
    )
    return (
      follower &&
      checker.add(path, 'no slot that follows it', follower[0], 'Let the slot follow another first.')
    )
  }
  checker.check(object({ id: idField('a progression’s id').required() }), { id }, path)
  const read = readProgression(checker, command.to ?? null, path)
  if (!read || checker.issues.length) return
  if (!same(read, command.to)) return checker.add(path, 'a progression written out in full', command.to)
  findRules(checker, draft, read, path)
  checkFollowers(checker, draft, command)
}

/** Every slot that feeds a progression must be able to carry it as it is after the command. */
function checkFollowers(checker: Checker, draft: Template, command: Of<'setRule' | 'setProgression'>): void {
  const { progression: id } = command
  const after = applyCommand(draft, command)
  if (isConflict(after)) return
  for (const [slotId, slot] of Object.entries(after.slots)) {
    if (!slot.follows.some(({ progression }) => progression === id)) continue
    findSlotEnds(checker, after, slot, at('slots', slotId))
    findUnheard(checker, after, slot, at('slots', slotId))
  }
}

function checkCell(
  checker: Checker,
  draft: Template,
  { slot: id, phase, row, group: groupId, field, to }: Of<'setCell'>,
): void {
  const path = `slots.${id}.rows.${phase}[${row}].${field}`
  if (field === 'goal') return void readGoal(checker, to, path)
  if (field !== 'load')
    return void checker.check(setGroupShape.pick([field]), { [field]: to ?? undefined }, path)
  const load = readLoad(checker, to, path)
  const slot = draft.slots[id]
  if (!load || !slot) return
  const group = slot.rows[phase]?.[row]?.find(({ id: own }) => own === groupId)
  const rows = { [phase]: [[{ ...(group ?? { id: 'cell', sets: 1, goal: { reps: 1 } }), load }]] }
  findSlotEnds(checker, draft, { ...slot, rows }, path)
  findOverMax(checker, draft, { ...slot, rows }, path)
}

function checkExercise(checker: Checker, draft: Template, { slot: id, to }: Of<'setExercise'>): void {
  const path = at('slots', id)
  const lift = checker.check(
    object({ exercise: exerciseField().required(), variant: textField('a variant', 60) }).noUnknown(),
    to,
    path,
  )
  const slot = draft.slots[id]
  if (lift && slot) findSlotEnds(checker, draft, { ...slot, ...to }, path)
}
