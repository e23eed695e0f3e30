import type { Library } from '../library/index.ts'
import {
  memberShape,
  readEnrolments,
  readLog,
  readPublications,
  settleEnrolments,
  type Enrolment,
  type SessionLog,
} from '../member/index.ts'
import { at, Checker, fieldIn, type Id, type Issue } from '../parsing/index.ts'
import { settleExercises, type Template } from '../template/index.ts'
import { readFact } from './readFact.ts'
import type { Fact } from './registry.ts'
import { asWritten, upgradeMember } from './upgrades/member1.ts'

/** A person in one gym, as the planner sees them: dated facts and logs, in any order of arrival. */
export type Member = { facts: Fact[]; logs: SessionLog[] }

export type MemberFile = { name?: string; today?: string; enrolments: Enrolment[]; member: Member }

/** `library` is the one that it was read by, with what the file declares. */
export type ReadMember =
  | { file: MemberFile; library: Library; issues?: undefined }
  | { file?: undefined; library?: undefined; issues: Issue[] }

const mostEntries = 5000

/**
 * Reads a member file of format 2, or of an earlier one, from parsed JSON, beside the library of its gym and the versions that its enrolments may name; the
 * first of them where they name none. Ids that are left out are made from what they name; what is left out of a set comes from its slot.
 */
export function readMember(
  input: unknown,
  versions: Record<Id, Template>,
  library: Library = {},
): ReadMember {
  const checker = new Checker(library)
  const format = fieldIn(input, 'format')
  if (fieldIn(input, 'phases') !== undefined && fieldIn(input, 'facts') === undefined) {
    checker.add('', 'a member file, with "facts" and "logs"', 'a template', 'Give the member’s file here.')
    return { issues: checker.issues }
  }
  const result = readToday(checker, upgradeMember(input), versions)
  return result.issues ? { issues: result.issues.map((issue) => asWritten(issue, format)) } : result
}

function readToday(checker: Checker, input: unknown, versions: Record<Id, Template>): ReadMember {
  const written = checker.check(memberShape, input, '')
  const head = written && settleExercises(checker, written)
  if (!head || checker.issues.length) return { issues: checker.issues }
  const stated = readEnrolments(checker, (head.enrolments as unknown[] | undefined) ?? [], versions)
  const publications = readPublications(checker, (head.publications as unknown[] | undefined) ?? [], versions)
  const facts = checker
    .list(head.facts, 'facts', mostEntries)
    .flatMap((fact, i) => readFact(checker, fact, at('facts', i), i) ?? [])
  const known = settleEnrolments(checker, stated, publications, null)
  const logs = checker
    .list(head.logs ?? [], 'logs', mostEntries)
    .flatMap((log, i) => readLog(checker, log, at('logs', i), known, versions) ?? [])
  if (checker.issues.length) return { issues: checker.issues }
  const enrolments = settleEnrolments(checker, stated, publications, logs)
  const file = { name: head.name, today: head.today, enrolments, member: { facts, logs } }
  return { file, library: checker.library }
}
