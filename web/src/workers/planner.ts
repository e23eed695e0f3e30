import type { MemberFile } from '@young-oak/api/members'
import { maxFor } from '@young-oak/core/evidence'
import { planMember, type Plan, type PlannedWeek } from '@young-oak/core/plan'
import type { Id } from '@young-oak/core/parsing'
import { liftKey, liftName, type Library, type Lift } from '@young-oak/core/library'
import type { Enrolment } from '@young-oak/core/member'
import { doingUnder, forecastKinds, forecastOf, type Supposed } from '@young-oak/core/dryRun'
import {
  formatSetsShown,
  eventsOfWeeks,
  seasonOf,
  tallyOf,
  type WeekSummary,
  type WeekTally,
} from '@young-oak/core/views'
import { applyCommand, isConflict, type Command, type Template } from '@young-oak/core/template'
import { formatDay, type Day, type Unit } from '@young-oak/core/units'

/** One week of the draft as one member would get it, planned off the page so that no key waits for it. */
export type Preview = { weeks: PlannedWeek[]; isRunning: boolean }

/** The weeks as they are written, and as tracks have them. */
export type Seasons = {
  own: WeekSummary[]
  laid: { name: string; weeks: WeekSummary[] }[]
  /** What of the chosen member’s life falls into which week, in words. */
  events: Record<number, string[]>
}

/** One slot over the weeks of a plan, under what is supposed of them, and what it comes to. */
export type Forecast = {
  unit: Unit
  columns: { title: string; says: string; weeks: WeekSeen[] }[]
  /** What the slot comes to as the draft stands, and with what is tried in its place. */
  now: WeekTally[]
  tried: WeekTally[] | null
}
export type WeekSeen = {
  week: number
  text: string
  deload: boolean
  supposed?: string
  value: number | null
}

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
      const own = next.enrolments.find(({ id }) => next.templates[id] === template)
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
      const tried = trial ? applyCommand(draft, trial) : draft
      if (isConflict(tried)) return null
      const [member, own] = [file.member, enrolment]
      const planOf = (template: Template, suppose: Supposed) =>
        planMember({
          library,
          member,
          enrolments: [own],
          versions: { draft: template },
          when: { today: day, through: 'end', doing: doingUnder(suppose) },
        })
      const supposed = forecastKinds.map((kind) => ({ kind, week }) as Supposed)
      const planned = supposed.map((one) => ({ one, made: planOf(tried, one) }))
      const tally = (template: Template, { plans, evidence }: ReturnType<typeof planMember>) => {
        const [plan, lift] = [plans[own.id], template.slots[slot]]
        const max = lift ? maxFor(library, evidence, lift, template.maxes, day) : null
        return plan && lift ? tallyOf(library, template, plan, slot, max?.load ?? null) : []
      }
      const toPlan: Supposed = { kind: 'toPlan' }
      return {
        unit: planned[0]?.made.evidence.unit ?? 'kg',
        columns: planned.map(({ one, made }) => ({
          title:
            forecastOf[one.kind].title + ('week' in forecastOf[one.kind].params.fields ? ` ${week}` : ''),
          says: forecastOf[one.kind].sentence(one),
          weeks: weeksOf(library, made.plans[own.id], slot, tried.slots[slot]),
        })),
        now: tally(draft, planOf(draft, toPlan)),
        tried: trial ? tally(tried, planOf(tried, toPlan)) : null,
      }
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
    return {
      own: seasonOf(library, now),
      laid: laid.flatMap((id) =>
        now.tracks[id] ? [{ name: now.tracks[id].name, weeks: seasonOf(library, now, id) }] : [],
      ),
      events: events(now, day),
    }
  }

  /** Where the member's trips, exams and the like lie in the weeks; planned to the end only where there are any. */
  function events(now: Template, day: Day): Seasons['events'] {
    if (!file || !enrolment || !file.member.facts.some(({ kind }) => kind === 'event')) return {}
    const when = { today: day, through: 'end' } as const
    const { plans, evidence } = planMember({
      library,
      member: file.member,
      enrolments: [enrolment],
      versions: { draft: now },
      when,
    })
    const plan = plans[enrolment.id]
    return Object.fromEntries(
      [...(plan ? eventsOfWeeks(plan, evidence, day) : [])].map(([week, own]) => [
        week,
        own.map(
          ({ what, name, on, to }) => `${name ?? what}, ${formatDay(on)}${to ? ` to ${formatDay(to)}` : ''}`,
        ),
      ]),
    )
  }

  return planner
}

/** What a slot is asked in each week ahead, the heaviest of its places; without loads the sets or the reps are drawn. */
function weeksOf(library: Library, plan: Plan | undefined, slot: Id, written: Lift | undefined): WeekSeen[] {
  return (plan?.weeks ?? []).flatMap(({ week, deload, places }) => {
    const own = places.flatMap(({ slots, status }) =>
      status === 'next' || status === 'ahead' || status === 'open'
        ? slots.filter((one) => one.slot === slot)
        : [],
    )
    const [first] = own
    if (!first) return []
    const prescriptions = own.flatMap((one) => one.sets)
    const loads = prescriptions.flatMap(({ load }) => (load ? [load.value] : []))
    const counted = prescriptions.reduce((sum, { sets }) => sum + sets, 0)
    const isOther = written && liftKey(first) !== liftKey(written)
    const lift = isOther
      ? `${first.exercise === written.exercise ? first.variant : liftName(library, first)}: `
      : ''
    const left = first.sets.find(({ rir }) => rir !== undefined)?.rir
    return [
      {
        week,
        deload,
        text: `${lift}${own.map((one) => formatSetsShown(library, one.sets)).join('; ')}${left === undefined ? '' : `, ${left} left`}`,
        ...(own.some(({ supposed }) => supposed) && {
          supposed: own.map(({ supposed }) => supposed).join(', '),
        }),
        value: loads.length ? Math.max(...loads) : counted,
      },
    ]
  })
}
