import type { Course } from '../calendar/index.ts'
import type { Evidence } from '../evidence/index.ts'
import type { Library } from '../library/index.ts'
import type { Enrolment } from '../member/index.ts'
import type { Plan, SetAside } from '../plan/index.ts'
import type { Template } from '../template/index.ts'
import type { Day } from '../units/index.ts'
import type { Value } from '../words/index.ts'

/** What a check of a member's entries may read. */
export type MemberSeen = { library: Library; today: Day; evidence: Evidence; setAside: SetAside }

/** What a check of one enrolment's plan may read: the version and track of today, how far the plan has come, and the plan as far as it is written out. */
export type EnrolmentSeen = MemberSeen & {
  enrolment: Enrolment
  template: Template
  track: string | undefined
  course: Course
  plan: Plan
}

/**
 * Something that a check found, in four parts: where it is, what is there, what that is held against, and (in the message) what to
 * change. `subject` names it beside the check, whatever the day: a lift's key, the id of an entry, a phase or a change.
 */
export type Found<M extends string = string> = {
  message: M
  subject: string
  where: string
  value?: Value
  /** A number or a day that the value is held against, with its unit in the message. */
  limit?: Value
  /** What else the message says. */
  data?: Record<string, Value>
  /** Only a writer can do something about it, so that no member is told. */
  forWriter?: true
}

/** What a message says is the matter, and what to change. `{value}`, `{limit}` and the names of `data` are filled in. */
export type CheckMessage = { what: string; next: string }

/**
 * Something that the reader of a plan must know. One file a check, file name = export = `kind`. It looks at a member's entries, or at
 * one enrolment's plan.
 */
export type Check<M extends string = string> = {
  kind: string
  title: string
  /** A rule of this program, a convention of the trade, or an opinion. */
  sure: 'rule' | 'convention' | 'opinion'
  ofMember?(seen: MemberSeen): Found<M>[]
  ofEnrolment?(seen: EnrolmentSeen): Found<M>[]
  messages: Record<M, CheckMessage>
}

export const defineCheck = <M extends string>(check: Check<M>): Check<M> => check
