import type { MemberFile } from '@young-oak/api/members'
import type { Library } from '@young-oak/core/library'
import type { Enrolment } from '@young-oak/core/member'
import type { Id } from '@young-oak/core/parsing'
import { planMember, type PlannedWeek } from '@young-oak/core/plan'
import { applyCommand, isConflict, type Command, type Template } from '@young-oak/core/template'
import type { Day } from '@young-oak/core/units'
import { zonesIn, type WeekZones } from '@young-oak/core/views'
import { forecastFor, type Forecast } from './forecast.ts'
import { seasonsOf, type Seasons } from './seasons.ts'

/** One week of the draft as one member would get it, planned off the page so that no key waits for it. */
export type Preview = { weeks: PlannedWeek[]; isRunning: boolean }

export type Planner = ReturnType<typeof makePlanner>

/** Plans one draft for the page: it is sent the draft once and then only what changes. */
export function makePlanner() {
  /** The gym's own exercises, which anything that is sent may name. */
  let library: Library = {}
  let draft: Template | null = null
  let file: MemberFile | null = null
  let enrolment: Enrolment | null = null
  let isRunning = false
  /** What the seasons that were sent last were made of. */
  let drawn: { draft: Template; laid: string; file: MemberFile | null } | null = null

  const planner = {
    /** The gym's own exercises, before anything that names them. */
    openLibrary(next: Library): void {
      library = next
    },
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
    openMember(next: MemberFile | null, template: string, day: Day, track: string | null): void {
      file = next
      if (!next) return
      const own = next.enrolments.findLast(
        ({ id, to }) => next.templates[id] === template && (to === undefined || to > day),
      )
      isRunning = own !== undefined
      const on = track === null ? {} : { track }
      enrolment = own
        ? { ...own, segments: own.segments.map((segment) => ({ ...segment, version: 'draft', ...on })) }
        : { id: 'preview', segments: [{ from: day, version: 'draft', ...on }] }
    },
    /**
     * One week of the draft, or of the draft with what is being typed and not yet kept. Whole plans stay here: it would take the page
     * longer to receive one than the worker to make it.
     */
    see(day: Day, trial: Command | null, at: { phase: Id; phaseWeek: number }): Preview | null {
      return draft && preview(draft, day, trial, at)
    },
    /** The weeks as the strip draws them; null where they are as they were. */
    seasons(day: Day, laid: Id[]): Seasons | null {
      return draft && seasons(draft, day, laid)
    },
    /** A slot's weeks under each supposition about them, with what is tried, and beside it as the draft stands. */
    forecast(day: Day, trial: Command | null, slot: Id, week: number): Forecast | null {
      if (!draft || !file || !enrolment) return null
      return forecastFor({ library, draft, member: file.member, enrolment, day }, trial, slot, week)
    },
    /** The reps of a week, its sessions and its phase by percent of the 1RM. */
    zones(day: Day, at: { phase: Id; phaseWeek: number }): WeekZones | null {
      if (!draft || !file || !enrolment) return null
      const { plans, evidence } = planMember({
        library,
        member: file.member,
        enrolments: [enrolment],
        versions: { draft },
        when: { today: day, through: 'end' },
      })
      const plan = plans[enrolment.id]
      return plan ? zonesIn({ library, evidence, maxes: draft.maxes, day }, plan, at) : null
    },
  }

  function preview(
    now: Template,
    day: Day,
    trial: Command | null,
    { phase, phaseWeek }: { phase: Id; phaseWeek: number },
  ): Preview | null {
    if (!file || !enrolment) return null
    const tried = trial ? applyCommand(now, trial) : now
    const template = isConflict(tried) ? now : tried
    const when = { today: day, through: { phase, phaseWeek } }
    const plan = planMember({
      library,
      member: file.member,
      enrolments: [enrolment],
      versions: { draft: template },
      when,
    }).plans[enrolment.id]
    if (!plan) return null
    return {
      weeks: plan.weeks.filter((week) => week.phase === phase && week.phaseWeek === phaseWeek),
      isRunning,
    }
  }

  function seasons(now: Template, day: Day, laid: Id[]): Seasons | null {
    if (drawn?.draft === now && drawn.laid === laid.join() && drawn.file === file) return null
    drawn = { draft: now, laid: laid.join(), file }
    return seasonsOf({ library, draft: now, member: file?.member ?? null, enrolment, day }, laid)
  }

  return planner
}
