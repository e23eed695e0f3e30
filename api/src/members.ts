import type { Member } from '@young-oak/core/facts'
import type { Enrolment } from '@young-oak/core/member'
import type { Template } from '@young-oak/core/template'

/** How many lines a page of a long list may have, for whoever reads all of it. */
export const longPage = 2000

/** A member as a writer's list shows them. */
export type MemberLine = {
  id: string
  name: string
  programs: string[]
  lastSession: string | null
  sessionsIn4Weeks: number
  /** Whether the signed-in writer is the one assigned, and may open the member's training data. */
  isMine: boolean
  /** The groups by hand that a writer's own member is in, by name. */
  groups: string[]
  /** The writers who are assigned, by name. */
  writers: { id: string; name: string }[]
}

/** All that a gym keeps of a member. */
export type OwnData = {
  gym: string
  email: string
  writers: string[]
  file: MemberFile
}

/** Everything that plans one member: what the writer's worker and the phone compute from. */
export type MemberFile = {
  name: string
  member: Member
  enrolments: Enrolment[]
  versions: Record<string, Template>
  /** The template of each enrolment. */
  templates: Record<string, string>
}
