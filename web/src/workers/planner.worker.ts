import { expose } from 'comlink'
import type { MemberFile } from '@young-oak/api/members'
import type { Enrolment } from '@young-oak/core/member'
import { planMember, type Plan } from '@young-oak/core/plan'
import { applyCommand, isConflict, type Command, type Template } from '@young-oak/core/template'
import type { Day } from '@young-oak/core/units'

/** The draft as one member would get it, planned off the page so that no key waits for it. */
export type Preview = { plan: Plan; isRunning: boolean }

let draft: Template | null = null
let file: MemberFile | null = null
let enrolment: Enrolment | null = null
let isRunning = false

const planner = {
  openDraft(next: Template): void {
    draft = next
  },
  apply(command: Command): void {
    const next = draft && applyCommand(draft, command)
    if (next && !isConflict(next)) draft = next
  },
  /**
   * A member who is on the template keeps their own progress in it; another is planned as starting today. A track that is
   * named is tried in place of theirs.
   */
  openMember(next: MemberFile, template: string, day: Day, track: string | null): void {
    file = next
    const own = next.enrolments.find(({ id }) => next.templates[id] === template)
    isRunning = own !== undefined
    const on = track === null ? {} : { track }
    enrolment = own
      ? { ...own, segments: own.segments.map((segment) => ({ ...segment, version: 'draft', ...on })) }
      : { id: 'preview', segments: [{ from: day, version: 'draft', ...on }] }
  },
  /** The plan of the draft, or of the draft with what is being typed and not yet kept. */
  plan(day: Day, trial: Command | null): Preview | null {
    if (!draft || !file || !enrolment) return null
    const tried = trial ? applyCommand(draft, trial) : draft
    const template = isConflict(tried) ? draft : tried
    const { plans } = planMember(
      file.member,
      [enrolment],
      { draft: template },
      { today: day, through: 'end' },
    )
    const plan = plans[enrolment.id]
    return plan ? { plan, isRunning } : null
  },
}

export type Planner = typeof planner
expose(planner)
