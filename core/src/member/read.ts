import type { Schema } from 'yup'
import { defaultFormula } from '../maxes/registry.ts'
import { at, Checker, type Issue } from '../reading/index.ts'
import type { Template } from '../template/types.ts'
import { factShapes, memberShape, sessionLogShape, setLogShape } from './shape.ts'
import {
  sessionLogId,
  setLogId,
  type Enrolment,
  type Fact,
  type Member,
  type SessionLog,
  type SetLog,
  type Shown,
} from './types.ts'

export type MemberFile = { name?: string; today?: string; enrolment: Enrolment; member: Member }
export type ReadMember = { file: MemberFile; issues?: undefined } | { file?: undefined; issues: Issue[] }

const mostEntries = 5000

/**
 * Reads a member file of format 1 from parsed JSON, for the template that the member is enrolled on as version `version`.
 * Ids that are left out are made from what they name; what is left out of a set comes from its slot.
 */
export function readMember(input: unknown, template: Template, version: string): ReadMember {
  const checker = new Checker()
  const head = checker.check(memberShape, input, '')
  if (!head) return { issues: checker.issues }
  const enrolment = {
    id: head.enrolment.id ?? 'enrolment',
    segments: [{ from: head.enrolment.start, version }],
  }
  const facts = list(checker, head.facts, 'facts').flatMap((fact, i) =>
    readFact(checker, fact, at('facts', i), i),
  )
  const logs = list(checker, head.logs ?? [], 'logs').flatMap((log, i) =>
    readLog(checker, log, at('logs', i), enrolment.id, template),
  )
  if (checker.issues.length) return { issues: checker.issues }
  return { file: { name: head.name, today: head.today, enrolment, member: { facts, logs } } }
}

function list(checker: Checker, value: unknown, path: string): unknown[] {
  if (!Array.isArray(value) || value.length > mostEntries) {
    checker.add(path, `a list of at most ${mostEntries}`, value)
    return []
  }
  return value
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
    id: fact.id ?? `fact-${index + 1}`,
    rev: fact.rev ?? 1,
    actsFrom: fact.actsFrom ?? fact.date,
  }
  return [own.kind === 'max' ? withSource(own) : own]
}

/** A single is a test; a set of several reps is an estimate that was accepted. */
function withSource(fact: Fact & { kind: 'max' }) {
  if (fact.reps === 1) return { ...fact, how: fact.how ?? ('tested' as const) }
  return { ...fact, how: 'accepted estimate' as const, formula: fact.formula ?? defaultFormula }
}

function readLog(
  checker: Checker,
  value: unknown,
  path: string,
  enrolment: string,
  template: Template,
): SessionLog[] {
  const log = checker.check(sessionLogShape, value, path)
  if (!log) return []
  const attempt = log.attempt ?? 1
  const id = log.id ?? sessionLogId(enrolment, log.position, attempt)
  const sets = list(checker, log.sets, at(path, 'sets')).flatMap((set, i) =>
    readSet(checker, set, at(at(path, 'sets'), i), id, template),
  )
  return [
    {
      ...log,
      id,
      rev: log.rev ?? 1,
      enrolment,
      attempt,
      ordinal: log.ordinal ?? 1,
      closed: log.closed ?? true,
      shown: log.shown as Shown | undefined,
      sets,
    } as SessionLog,
  ]
}

function readSet(
  checker: Checker,
  value: unknown,
  path: string,
  session: string,
  template: Template,
): SetLog[] {
  const set = checker.check(setLogShape, value, path)
  if (!set) return []
  const slot = template.slots[set.slot]
  if (!slot && !set.exercise) {
    checker.add(at(path, 'slot'), 'a slot of the template, or an exercise beside it', set.slot)
    return []
  }
  const lift = set.exercise
    ? {}
    : { exercise: slot?.exercise, ...(slot?.variant && { variant: slot.variant }) }
  return [
    {
      state: 'done',
      ...lift,
      ...set,
      id: set.id ?? setLogId(session, set.slot, set.n),
      rev: set.rev ?? 1,
    } as SetLog,
  ]
}
