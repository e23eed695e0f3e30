import type { MemberFile } from '@young-oak/api/members'
import type { PlanInput, When } from '@young-oak/core/plan'
import type { Scope } from '../../database/scope.ts'

/** What a member's plans are made from: their file, beside the gym's own exercises. */
export const inputOf = (
  { library }: Scope,
  { member, enrolments, versions }: Pick<MemberFile, 'member' | 'enrolments' | 'versions'>,
  when: When,
): PlanInput => ({ library, member, enrolments, versions, when })
