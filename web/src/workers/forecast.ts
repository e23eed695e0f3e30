import { doingUnder, forecastKinds, forecastOf, type Supposed } from '@young-oak/core/dryRun'
import { maxFor } from '@young-oak/core/evidence'
import { liftKey, liftName, type Library, type Lift } from '@young-oak/core/library'
import type { Member } from '@young-oak/core/facts'
import type { Enrolment } from '@young-oak/core/member'
import type { Id } from '@young-oak/core/parsing'
import { planMember, type Plan } from '@young-oak/core/plan'
import { applyCommand, isConflict, type Command, type Template } from '@young-oak/core/template'
import type { Day, Unit } from '@young-oak/core/units'
import { formatSetsShown, tallyOf, type WeekTally } from '@young-oak/core/views'

/** One slot over the weeks of a plan, under what is supposed of them, and what it comes to. */
export type Forecast = {
  unit: Unit
  columns: { title: string; says: string; weeks: WeekSeen[] }[]
  /** What the slot comes to as the draft stands, and with what is tried in its place. */
  now: WeekTally[]
  tried: WeekTally[] | null
}
type WeekSeen = {
  week: number
  text: string
  deload: boolean
  supposed?: string
  value: number | null
}

type Of = { library: Library; draft: Template; member: Member; enrolment: Enrolment; day: Day }

/** A slot's weeks under each supposition about them, with what is tried, and beside it as the draft stands; null where it cannot be tried. */
export function forecastFor(of: Of, trial: Command | null, slot: Id, week: number): Forecast | null {
  const { library, draft } = of
  const tried = trial ? applyCommand(draft, trial) : draft
  if (isConflict(tried)) return null
  const planned = forecastKinds.map((kind) => {
    const supposed = { kind, week } as Supposed
    return { supposed, made: planUnder(of, tried, supposed) }
  })
  return {
    unit: planned[0]?.made.evidence.unit ?? 'kg',
    columns: planned.map(({ supposed, made }) => {
      const { title, params, sentence } = forecastOf[supposed.kind]
      return {
        title: `${title}${'week' in params.fields ? ` ${week}` : ''}`,
        says: sentence(supposed),
        weeks: weeksOf(library, made.plans[of.enrolment.id], slot, tried.slots[slot]),
      }
    }),
    now: tallied(of, draft, slot),
    tried: trial ? tallied(of, tried, slot) : null,
  }
}

const planUnder = ({ library, member, enrolment, day }: Of, template: Template, supposed: Supposed) =>
  planMember({
    library,
    member,
    enrolments: [enrolment],
    versions: { draft: template },
    when: { today: day, through: 'end', doing: doingUnder(supposed) },
  })

/** What the slot comes to, week by week, if all goes to plan. */
function tallied(of: Of, template: Template, slot: Id): WeekTally[] {
  const { plans, evidence } = planUnder(of, template, { kind: 'toPlan' })
  const [plan, lift] = [plans[of.enrolment.id], template.slots[slot]]
  if (!plan || !lift) return []
  const max = maxFor(of.library, evidence, lift, template.maxes, of.day)
  return tallyOf(of.library, template, plan, slot, max?.load ?? null)
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
    const rir = first.sets.find(({ rir }) => rir !== undefined)?.rir
    return [
      {
        week,
        deload,
        text: `${lift}${own.map((one) => formatSetsShown(library, one.sets)).join('; ')}${rir === undefined ? '' : ` @ ${rir} RIR`}`,
        ...(own.some(({ supposed }) => supposed) && {
          supposed: own.map(({ supposed }) => supposed).join(', '),
        }),
        value: loads.length ? Math.max(...loads) : counted,
      },
    ]
  })
}
