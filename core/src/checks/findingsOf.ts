import { isOver, segmentOn, templateOn, type PlanInput, type Planned } from '../plan/index.ts'
import type { Found, MemberSeen } from './check.ts'
import { checkKinds, checkOf, type CheckKind } from './registry.ts'

/** A finding as data, named by its check and subject, whatever the day; `sayFinding` puts it into words. */
export type Finding = Found & { check: CheckKind }

/** What the reader of a member's plans must know beside them: of the member's entries first, then plan by plan. */
export function findingsOf({ library, versions, when }: PlanInput, planned: Planned): Finding[] {
  const { today } = when
  const { evidence, setAside, courses, enrolments } = planned
  const seen: MemberSeen = { library, today, evidence, setAside }
  const found = checkKinds.flatMap((check) => withCheck(check, checkOf[check].ofMember?.(seen)))
  for (const enrolment of enrolments) {
    const { track } = segmentOn(enrolment, today)
    const course = courses[enrolment.id]
    const plan = planned.plans[enrolment.id]
    if (!course || !plan || isOver(plan, today)) continue
    const own = { ...seen, enrolment, course, plan, track, template: templateOn(enrolment, versions, today) }
    found.push(...checkKinds.flatMap((check) => withCheck(check, checkOf[check].ofEnrolment?.(own))))
  }
  return found
}

/** Of findings those that a member is told of. */
export const toldToMember = (findings: Finding[]): Finding[] => findings.filter(({ forWriter }) => !forWriter)

const withCheck = (check: CheckKind, found: Found[] = []): Finding[] =>
  found.map((one) => ({ check, ...one }))
