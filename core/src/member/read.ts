import { type Id, at, Checker, type Issue } from '../parsing/index.ts'
import type { Schema } from 'yup'
import { exerciseOf, type Lift, type Library } from '../library/index.ts'
import { defaultFormula } from '../maxes/index.ts'
import { settleExercises, readAdjustment, readChange, type Template } from '../template/index.ts'
import {
  enrolmentShape,
  equipmentShape,
  factShapes,
  memberShape,
  sessionLogShape,
  setLogShape,
} from './shape.ts'
import { readShown } from './shown.ts'
import {
  sessionLogId,
  setLogId,
  type Enrolment,
  type EquipmentBody,
  type Fact,
  type Member,
  type SessionLog,
  type SetLog,
} from './types.ts'

export type MemberFile = { name?: string; today?: string; enrolments: Enrolment[]; member: Member }
/** `library` is the one that it was read by, with what the file declares. */
export type ReadMember =
  | { file: MemberFile; library: Library; issues?: undefined }
  | { file?: undefined; library?: undefined; issues: Issue[] }

const mostEntries = 5000

/**
 * Reads a member file of format 1 from parsed JSON, beside the library of its gym and the versions that its enrolments may name; the
 * first of them where they name none. Ids that are left out are made from what they name; what is left out of a set comes from its slot.
 */
export function readMember(
  input: unknown,
  versions: Record<Id, Template>,
  library: Library = {},
): ReadMember {
  const checker = new Checker(library)
  const written = checker.check(memberShape, input, '')
  const head = written && settleExercises(checker, written)
  if (!head || checker.issues.length) return { issues: checker.issues }
  const enrolments = (head.enrolments as unknown[]).flatMap((one, i) =>
    readEnrolment(checker, one, at('enrolments', i), versions),
  )
  findDoubles(checker, enrolments)
  const facts = list(checker, head.facts, 'facts').flatMap((fact, i) =>
    readFact(checker, fact, at('facts', i), i),
  )
  const logs = list(checker, head.logs ?? [], 'logs').flatMap((log, i) =>
    readLog(checker, log, at('logs', i), enrolments, versions),
  )
  if (checker.issues.length) return { issues: checker.issues }
  const file = { name: head.name, today: head.today, enrolments, member: { facts, logs } }
  return { file, library: checker.library }
}

/** What a place has, from a form or a file. */
export function readEquipment(
  library: Library,
  value: unknown,
): { equipment: EquipmentBody; issues?: undefined } | { equipment?: undefined; issues: Issue[] } {
  const checker = new Checker(library)
  const equipment = checker.check(equipmentShape, value, '') as EquipmentBody | undefined
  return equipment && !checker.issues.length ? { equipment } : { issues: checker.issues }
}

/** Facts that a member or their writer enters one by one, beside maxes, body weight and equipment. */
export const givenKinds = [
  'light',
  'adjust',
  'withdraw',
  'handover',
  'checkIn',
  'about',
  'event',
  'test',
  'goal',
  'trial',
  'decision',
  'skipLight',
  'nextPhase',
  'adviceTaken',
  'ceiling',
] as const
export type GivenKind = (typeof givenKinds)[number]

/** A fact as it is entered: of one of these kinds, dated by whoever stores it. */
export function readGivenFact(
  library: Library,
  value: unknown,
): { fact: Fact; issues?: undefined } | { fact?: undefined; issues: Issue[] } {
  const checker = new Checker(library)
  const kind = (value as { kind?: unknown } | null)?.kind
  if (!givenKinds.includes(kind as GivenKind)) {
    checker.add('kind', `one of ${givenKinds.join(', ')}`, kind)
    return { issues: checker.issues }
  }
  const [fact] = readFact(checker, value, '', 0)
  return fact && !checker.issues.length ? { fact } : { issues: checker.issues }
}

function list(checker: Checker, value: unknown, path: string): unknown[] {
  if (!Array.isArray(value) || value.length > mostEntries) {
    checker.add(path, `a list of at most ${mostEntries}`, value)
    return []
  }
  return value
}

function readEnrolment(
  checker: Checker,
  value: unknown,
  path: string,
  versions: Record<Id, Template>,
): Enrolment[] {
  const enrolment = checker.check(enrolmentShape, value, path)
  if (!enrolment) return []
  const names = Object.keys(versions)
  const segments = enrolment.segments.map((segment, i) => {
    const version = segment.version ?? (names[0] as Id)
    const place = at(at(path, 'segments'), i)
    const template = versions[version]
    if (!template) checker.add(at(place, 'version'), `one of ${names.join(', ')}`, version)
    else if (segment.track !== undefined && !template.tracks[segment.track]) {
      const tracks = Object.keys(template.tracks).join(', ') || 'none'
      checker.add(at(place, 'track'), `a track of this template (${tracks})`, segment.track)
    }
    return { ...segment, version }
  })
  const { id = 'enrolment', clock } = enrolment
  return [{ id, ...(clock && { clock }), segments }]
}

function findDoubles(checker: Checker, enrolments: Enrolment[]): void {
  enrolments.forEach(({ id }, i) => {
    if (enrolments.findIndex((one) => one.id === id) < i)
      checker.add(at(at('enrolments', i), 'id'), 'an id that no other enrolment has', id)
  })
}

function readFact(checker: Checker, value: unknown, path: string, index: number): Fact[] {
  const kind = (value as { kind?: unknown } | null)?.kind
  if (typeof kind !== 'string' || !Object.hasOwn(factShapes, kind)) {
    checker.add(at(path, 'kind'), `one of ${Object.keys(factShapes).join(', ')}`, kind)
    return []
  }
  const shape: Schema = factShapes[kind as keyof typeof factShapes]
  const fact = checker.check(shape, value, path) as Fact | undefined
  if (!fact) return []
  if (fact.actsFrom && fact.actsFrom < fact.date) {
    checker.add(at(path, 'actsFrom'), `a day not before its date, ${fact.date}`, fact.actsFrom)
  }
  const own = {
    ...fact,
    id: fact.id ?? `fact-${String(index + 1).padStart(4, '0')}`,
    rev: fact.rev ?? 1,
    actsFrom: fact.actsFrom ?? fact.date,
  }
  if (own.kind === 'max') {
    findOnBody(checker, own, path)
    return [withSource(own)]
  }
  if (own.kind === 'light')
    own.changes.forEach((change, i) => readChange(checker, change, at(at(path, 'changes'), i)))
  if (own.kind === 'adjust') readAdjustment(checker, own.adjustment, at(path, 'adjustment'))
  return [own]
}

/** Only on top of body weight is there a load of 0, or one that helps. */
function findOnBody(
  checker: Checker,
  { load, help, ...lift }: Pick<SetLog, 'load' | 'help'> & Lift,
  path: string,
) {
  if (exerciseOf(checker.library, lift).tool === 'body weight') return
  if (load?.value === 0) checker.add(at(path, 'load.value'), 'a load above 0, at most 1000', 0)
  if (help) checker.add(at(path, 'help'), 'a body-weight exercise beside it', help)
}

/** A single with nothing left is a test; any other set is an estimate that was accepted. */
function withSource(fact: Fact & { kind: 'max' }) {
  if (fact.reps + (fact.rir ?? 0) === 1) return { ...fact, how: fact.how ?? ('tested' as const) }
  return { ...fact, how: 'accepted estimate' as const, formula: fact.formula ?? defaultFormula }
}

function readLog(
  checker: Checker,
  value: unknown,
  path: string,
  enrolments: Enrolment[],
  versions: Record<Id, Template>,
): SessionLog[] {
  const log = checker.check(sessionLogShape, value, path)
  if (!log) return []
  const attempt = log.attempt ?? 1
  const enrolment = log.enrolment ?? enrolments[0]?.id ?? ''
  if (log.enrolment === undefined && enrolments.length > 1)
    checker.add(at(path, 'enrolment'), 'which of the enrolments', undefined, 'Add it.')
  const id = log.id ?? sessionLogId(enrolment, log.position, attempt)
  const slots = enrolments
    .filter((one) => one.id === enrolment)
    .flatMap(({ segments }) => segments.map(({ version }) => versions[version]?.slots ?? {}))
  const sets = list(checker, log.sets, at(path, 'sets')).flatMap((set, i) =>
    readSet(checker, set, at(at(path, 'sets'), i), id, Object.assign({}, ...slots) as Template['slots']),
  )
  const shown = log.shown === undefined ? undefined : readShown(checker, log.shown, at(path, 'shown'))
  return [
    {
      ...log,
      id,
      rev: log.rev ?? 1,
      enrolment,
      attempt,
      ordinal: log.ordinal ?? 1,
      closed: log.closed ?? true,
      shown,
      sets,
    } as SessionLog,
  ]
}

function readSet(
  checker: Checker,
  value: unknown,
  path: string,
  session: string,
  slots: Template['slots'],
): SetLog[] {
  const set = checker.check(setLogShape, value, path)
  if (!set) return []
  const slot = slots[set.slot]
  if (!slot && !set.exercise) {
    checker.add(at(path, 'slot'), 'a slot of the template, or an exercise beside it', set.slot)
    return []
  }
  const lift = set.exercise
    ? {}
    : { exercise: slot?.exercise, ...(slot?.variant && { variant: slot.variant }) }
  const made = {
    state: 'done',
    ...lift,
    ...set,
    id: set.id ?? setLogId(session, set.slot, set.n),
    rev: set.rev ?? 1,
  } as SetLog
  findOnBody(checker, made, path)
  return [made]
}
