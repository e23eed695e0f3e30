import { type Id, at, type Checker } from '../../parsing/index.ts'
import { kindOf } from '../../goals/index.ts'
import { liftKey } from '../../library/index.ts'
import { sourceOf } from '../../loads/index.ts'
import { canCarry, ruleOf, type RuleKind } from '../../progressions/index.ts'
import { isOverMax, percentOfMax, takesScheme } from '../computed.ts'
import {
  rulesOf,
  setsOfSlot,
  type Progression,
  type SetPrescription,
  type Slot,
  type Template,
  type Use,
} from '../types.ts'
import { writtenOnce } from './weekRows.ts'

/** What a slot's progressions and loads need of the slot itself and of the template. */
export function findSlotEnds(checker: Checker, template: Template, slot: Slot, path: string): void {
  slot.uses.forEach(({ progression: id, role }, i) => {
    const place = at(at(path, 'uses'), i)
    const progression = template.progressions[id]
    if (!progression)
      checker.add(
        at(place, 'progression'),
        'a progression of this template',
        id,
        known(template.progressions),
      )
    for (const { rule, id: stage } of stagesOf(progression))
      if (!stageOf(slot, stage)?.role) findRole(checker, rule, role, at(place, 'role'))
  })
  findStageEnds(checker, slot, path)
  findRivals(checker, template, slot, path)
  if (slot.by === 'toTest' && !slot.capStep)
    checker.add(
      at(path, 'capStep'),
      'the step that rows counted back from a test day may rise by',
      undefined,
      'Add it.',
    )
  findLines(checker, slot, path)
  findChoices(checker, slot, path)
  findLoadEnds(checker, template, slot, path)
}

/** Stages of a progression, and its rules of single phases, which have no stage of their own. */
const stagesOf = (progression: Progression | undefined): { rule: RuleKind; id?: Id }[] => [
  ...(progression?.stages ?? []),
  ...(progression?.inPhases ?? []).map(({ rule }) => ({ rule })),
]

const stageOf = ({ inStages }: Slot, id: Id | undefined) => inStages?.find(({ stage }) => stage === id)

function findRole(checker: Checker, rule: RuleKind, role: Use['role'], path: string): void {
  const { roles } = ruleOf[rule]
  for (const one of typeof role === 'string' ? [role] : role.byDay)
    if (!roles.includes(one)) checker.add(path, `a role of ${rule}: ${roles.join(', ')}`, one)
}

/** Sets in stages have a progression whose stages they are, and nothing that counts rows otherwise. */
function findStageEnds(checker: Checker, { inStages, by, circuit }: Slot, path: string): void {
  if (!inStages) return
  if (circuit || by === 'toTest')
    checker.add(
      at(path, 'inStages'),
      circuit ? 'no circuit beside sets in stages' : 'no rows counted to a test day beside sets in stages',
      by,
      'Keep one of them.',
    )
  inStages.forEach(({ stage }, i) => {
    if (inStages.findIndex((one) => one.stage === stage) < i)
      checker.add(`${at(path, 'inStages')}[${i}].stage`, 'a stage that is not named before', stage)
  })
}

/**
 * Sets for a stage that none of the slot's progressions has, or in a role that its rule does not have. A draft on its way may have them: a
 * stage that is put in has its sets first, and one that is taken out leaves them.
 */
export function findStrayStages(
  checker: Checker,
  { progressions }: Template,
  slot: Slot,
  path: string,
): void {
  slot.inStages?.forEach(({ stage, role }, i) => {
    const place = `${at(path, 'inStages')}[${i}]`
    const all = slot.uses.flatMap(({ progression }) => progressions[progression]?.stages ?? [])
    const own = all.find(({ id }) => id === stage)
    if (own && role) findRole(checker, own.rule, role, `${place}.role`)
    if (own) return
    const there = all.map(({ id }) => id).join(', ') || 'none'
    checker.add(
      `${place}.stage`,
      'a stage of a progression that the slot uses',
      stage,
      `There are: ${there}. Name one of them, or leave these sets out.`,
    )
  })
}

/**
 * Loads above the 1RM that are no test and are not said to be meant. A version that was published before this was asked reads all the
 * same: the plan holds such loads to the max.
 */
export function findOverMax(checker: Checker, template: Template, slot: Slot, path: string): void {
  for (const { prescribed, place } of writtenLines(slot, path))
    if (isOverMax(prescribed, template))
      checker.add(
        `${place}.load.percent`,
        'at most 100% of the 1RM where no test is planned',
        percentOfMax(prescribed.load, template),
        'Lower it, or write "over": true beside the load where more is meant.',
      )
}

/** The lines of a slot with their places in the file: a row that is written once for all weeks has its first alone. */
function writtenLines({ rows, inStages = [] }: Slot, path: string) {
  const lists: [string, SetPrescription[][]][] = [
    ...Object.entries(rows).map(([phase, list]): [string, SetPrescription[][]] => [
      at(at(path, 'rows'), phase),
      list,
    ]),
    ...inStages.map((one, i): [string, SetPrescription[][]] => [
      `${at(path, 'inStages')}[${i}].rows`,
      one.rows,
    ]),
  ]
  return lists.flatMap(([place, list]) =>
    writtenOnce(list).flatMap(({ row, at: n }) =>
      row.map((prescribed, j) => ({
        prescribed,
        j,
        isLast: j === row.length - 1,
        place: `${place}[${n}][${j}]`,
      })),
    ),
  )
}

function findChoices(checker: Checker, slot: Slot, path: string): void {
  const { choices, rotation, circuit } = slot
  if (!choices) return
  if (rotation || circuit)
    checker.add(
      at(path, 'choices'),
      `no ${circuit ? 'circuit' : 'rotation'} beside a choice of exercises`,
      choices,
      'Keep one of them.',
    )
  const seen = [liftKey(slot)]
  choices.forEach((lift, i) => {
    if (seen.includes(liftKey(lift)))
      checker.add(at(at(path, 'choices'), i), 'another lift than those before it', lift, 'Leave it out.')
    seen.push(liftKey(lift))
  })
}

/** The lines of a circuit have a lift each, and nothing else has; sets without an end stand at the end. */
function findLines(checker: Checker, slot: Slot, path: string): void {
  const { circuit, uses } = slot
  for (const { prescribed, place, isLast } of writtenLines(slot, path)) {
    const { lift, goal } = prescribed
    if (circuit && !lift)
      checker.add(`${place}.lift`, 'the lift of this line of the circuit', undefined, 'Add it.')
    if (!circuit && lift)
      checker.add(`${place}.lift`, 'a circuit around it', lift, 'Give the slot a "circuit".')
    if ('anySets' in goal && (circuit || !isLast))
      checker.add(
        `${place}.goal.anySets`,
        'any number of sets in the last line of an exercise alone',
        true,
        'Leave it out, or put this line last.',
      )
  }
  if (circuit && uses.length)
    checker.add(at(path, 'uses'), 'no progression: a circuit is scored as one thing', uses)
}

/** Two progressions of one slot must write different things. */
function findRivals(checker: Checker, { progressions }: Template, { uses }: Slot, path: string): void {
  const writer = new Map<string, Id>()
  uses.forEach(({ progression: id }, i) => {
    const writes = new Set(rulesOf(progressions[id]).flatMap(({ rule }) => ruleOf[rule].writes))
    for (const what of writes) {
      const rival = writer.get(what)
      if (rival !== undefined)
        checker.add(
          at(at(path, 'uses'), i),
          `a progression that does not write the ${what} too`,
          id,
          `"${rival}" writes it: keep one of them.`,
        )
      writer.set(what, id)
    }
  })
}

function findLoadEnds(checker: Checker, template: Template, slot: Slot, path: string): void {
  const givesLoads = slot.uses.some(({ progression, role }) =>
    rulesOf(template.progressions[progression]).some(
      ({ rule }) =>
        ruleOf[rule].writes.includes('load') &&
        !(typeof role === 'string' && ruleOf[rule].quiet?.includes(role)),
    ),
  )
  for (const { prescribed, place: line, j } of writtenLines(slot, path)) {
    const { load, goal } = prescribed
    const place = `${line}.load`
    if (load.of === 'trainingMax' && template.trainingMax === undefined) {
      checker.add(place, 'a template with "trainingMax"', load.of, 'Add "trainingMax": 90, say, at the top.')
    }
    if (sourceOf[load.of].readsReps && kindOf(goal).reps(goal) === null)
      checker.add(
        place,
        'a goal whose reps tell on the load',
        load.of,
        'Give the sets reps, or the load another basis.',
      )
    if (load.of === 'progression' && !givesLoads)
      checker.add(place, 'a slot that uses a progression which gives loads', load.of, 'Add "uses".')
    const role = sourceOf[load.of].readsRole?.(load)
    if (role !== undefined && !isFed(template, slot, role)) {
      const fix = 'Give a slot of the progression this role, or name another.'
      checker.add(place, 'a role that some slot trains', role, fix)
    }
    const reads = sourceOf[load.of].reads?.(load)
    if (!reads) continue
    const { slot: other, prescription } = reads
    const read = other === undefined ? slot : template.slots[other]
    if (!read) checker.add(`${place}.slot`, 'a slot of this template', other, known(template.slots))
    else if (prescription !== undefined && !setsOf(read).has(prescription))
      checker.add(
        `${place}.prescription`,
        `the id of sets in that slot: ${[...setsOf(read)].join(', ')}`,
        prescription,
      )
    else if (other === undefined && prescription === undefined && j === 0)
      checker.add(place, 'a top set before it', load, 'Put sets before these, or name a slot.')
  }
}

const setsOf = (slot: Slot): Set<Id> => new Set(setsOfSlot(slot).map(({ id }) => id))

/** Whether a slot of one of the same progressions has the role. */
function isFed({ slots }: Template, { uses }: Slot, role: string): boolean {
  const own = new Set(uses.map(({ progression }) => progression))
  const isIt = (one: Use['role']) => (typeof one === 'string' ? one === role : one.byDay.includes(role))
  return Object.values(slots).some(
    ({ uses: others, inStages = [] }) =>
      others.some((one) => own.has(one.progression)) &&
      (others.some((one) => own.has(one.progression) && isIt(one.role)) ||
        inStages.some((one) => one.role && isIt(one.role))),
  )
}

/** A progression of loads that gives a slot no load anywhere would never be heard, but in a role that moves nothing. */
export function findUnheard(checker: Checker, { progressions }: Template, slot: Slot, path: string): void {
  const isHeard = setsOfSlot(slot).some(
    ({ load }) => load.of === 'progression' || sourceOf[load.of].readsRole,
  )
  slot.uses.forEach(({ progression }, i) => {
    const givesLoads = rulesOf(progressions[progression]).some(({ rule }) =>
      ruleOf[rule].writes.includes('load'),
    )
    if (givesLoads && !isHeard) {
      const fix = 'Write "load": {"of": "progression"}.'
      checker.add(at(at(path, 'uses'), i), 'at least one load of the progression', progression, fix)
    }
    for (const { rule, id } of stagesOf(progressions[progression])) {
      const rows = stageOf(slot, id)?.rows ?? Object.values(slot.rows).flat()
      findUncarried(checker, rule, rows, `${at(path, 'uses')}[${i}]`)
    }
  })
}

/** A rule that only some goals can carry needs a slot that has one. */
function findUncarried(checker: Checker, rule: RuleKind, rows: SetPrescription[][], path: string): void {
  const { carriedBy, title } = ruleOf[rule]
  if (!carriedBy) return
  const isCarried = rows.some((row) =>
    row.some((prescribed) => takesScheme(row, prescribed) && canCarry(carriedBy, prescribed)),
  )
  if (isCarried) return
  const { goal, least } = carriedBy.sample
  const said = JSON.stringify(goal).replace(/[:,]/g, '$& ')
  const fewest = least === undefined ? '' : ` and "least": ${least}`
  checker.add(path, `${carriedBy.expected}, as “${title}” needs`, rule, `Write "goal": ${said}${fewest}.`)
}

/** What an id might have meant. */
export const known = (things: Record<Id, unknown>) =>
  `There are: ${Object.keys(things).slice(0, 12).join(', ') || 'none'}.`
