// What a plan comes to, in lines: weeks in numbers, what the member is after, what is ahead of them, and what the advisor says.
import { advise, answerOf, readSignals } from '@young-oak/core/advice'
import { sampleMember, type Strength } from '@young-oak/core/dryRun'
import { explain } from '@young-oak/core/explain'
import { resolve } from '@young-oak/core/member'
import { exerciseOf, liftKey, liftName, muscles, setCounts, type Library } from '@young-oak/core/library'
import { planMember, type Plan, type PlanInput, type Planned, type PlannedWeek } from '@young-oak/core/plan'
import type { Template } from '@young-oak/core/template'
import { blocksOf, estimatesOf, loadWeeks, targetOf } from '@young-oak/core/trends'
import { addLoad, formatDay, formatLoad, formatNumber, type Load } from '@young-oak/core/units'
import { minutesOf, sayZones, tallyOf, zonesIn } from '@young-oak/core/views'

/** Of one plan: a line for each week, and what the advisor says of it. */
export function summaryOf(input: PlanInput, planned: Planned, plan: Plan): string[] {
  const { library, member, versions, when } = input
  const template = versions[plan.version] as Template
  const tonnage = tonnageByWeek(library, template, plan)
  const [light, strong] = (['light', 'strong'] as const).map((one) => minutesFor(one, input, plan))
  const weeks = plan.weeks.map((week) => {
    const said = [
      saySets(library, versions, week),
      tonnage.has(week.week) && `tonnage ${formatLoad(tonnage.get(week.week) as Load)}`,
      `longest session about ${light?.get(week.week) ?? 0} min for a light member, ${strong?.get(week.week) ?? 0} for a strong one`,
    ]
    return `  Week ${week.week}  ${said.filter(Boolean).join('; ')}`
  })
  const of = { library, evidence: planned.evidence, maxes: template.maxes, day: when.today }
  const zones = plan.weeks
    .filter(({ phase }, i, all) => all[i - 1]?.phase !== phase)
    .flatMap(({ phase, phaseName }) => {
      const own = plan.weeks.filter((week) => week.phase === phase)
      return [
        `  ${phaseName}, reps by % of the 1RM: ${sayZones(zonesIn(of, plan, { phase, phaseWeek: 1 }).phase)}`,
        ...own.map(
          ({ week, phaseWeek }) =>
            `    week ${week}: ${sayZones(zonesIn(of, plan, { phase, phaseWeek }).week)}`,
        ),
      ]
    })
  const { deloadPolicy } = template
  const advice = advise(
    library,
    readSignals(member, planned, plan.enrolment, template, when.today),
    deloadPolicy,
  )
  const because = advice.evidence.map(explain).join('; ')
  return [...weeks, ...zones, `  advice: ${answerOf[advice.answer].says}${because && ` (${because})`}`]
}

/** Of the member: goals with how they stand, events to come, and how hard the last weeks were. */
export function outlookOf({ library, member, when }: PlanInput, { evidence, plans }: Planned): string[] {
  const { goals, events, unit, body } = evidence
  const blocks = Object.values(plans).flatMap((plan) => blocksOf(plan, when.today))
  const wanted = goals.map((goal) => {
    const seen = estimatesOf(library, member.logs, goal, unit, body?.load)
    const maxes = evidence.maxes[liftKey(goal)]
    const { verdict, goal: known } = targetOf(goal, seen, when.today, blocks, maxes)
    const by = known.by === undefined ? '' : ` by ${formatDay(known.by)}`
    return `goal: ${liftName(library, goal)} ${formatLoad(goal.to)}${by}: ${verdict}`
  })
  const ahead = events
    .filter(({ on, to }) => (to ?? on) >= when.today)
    .map(({ what, on, to }) => `event: ${what}, ${formatDay(on)}${to ? ` to ${formatDay(to)}` : ''}`)
  const loads = loadWeeks(resolve(member.logs), when.today)
    .filter(({ sessions, unrated }) => sessions > unrated)
    .map(({ from, load, monotony, strain, unrated }) => {
      const figures = monotony === null ? [] : [`monotony ${formatNumber(monotony)}`, `strain ${strain}`]
      const lacking = unrated ? [`${unrated} without hardness or minutes`] : []
      return `load, week from ${formatDay(from)}: ${[`${load} (hardness × minutes)`, ...figures, ...lacking].join(', ')}`
    })
  return [...wanted, ...ahead, ...loads]
}

/** "hard sets: quads 12, back 4.5", as far as there are any. */
function saySets(
  library: Library,
  versions: PlanInput['versions'],
  { version, places }: PlannedWeek,
): string {
  const slots = places.flatMap((place) => place.slots)
  const hard = slots.filter((slot) => exerciseOf(library, slot).pattern !== 'conditioning')
  const said = muscles.flatMap((muscle) => {
    const sets = hard.reduce((sum, slot) => {
      const counts = versions[version]?.slots[slot.slot]?.counts
      const own = slot.sets.reduce(
        (all, line) => all + line.sets * setCounts(library, line.lift ?? slot, muscle, counts),
        0,
      )
      return sum + own
    }, 0)
    return sets ? [`${muscle} ${formatNumber(sets)}`] : []
  })
  return said.length ? `hard sets: ${said.join(', ')}` : 'no hard sets'
}

function tonnageByWeek(library: Library, template: Template, plan: Plan): Map<number, Load> {
  const sums = new Map<number, Load>()
  for (const slot of Object.keys(template.slots))
    for (const { week, tonnage } of tallyOf(library, template, plan, slot, null)) {
      const had = sums.get(week)
      if (tonnage) sums.set(week, had ? addLoad(had, tonnage) : tonnage)
    }
  return sums
}

/** The longest session of each week for somebody made up who starts the version of the plan, on its track. */
function minutesFor(strength: Strength, { library, versions }: PlanInput, plan: Plan): Map<number, number> {
  const { version, track, start } = plan
  const template = versions[version] as Template
  const enrolment = { id: strength, segments: [{ from: start, version, ...(track !== null && { track }) }] }
  const { plans } = planMember({
    library,
    member: sampleMember(library, template, strength, start),
    enrolments: [enrolment],
    versions,
    when: { today: start, through: 'end' },
  })
  return new Map(
    plans[strength]?.weeks.map(({ week, places }) => [
      week,
      Math.max(0, ...places.map(({ session, slots }) => minutesOf(library, template, session, slots))),
    ]),
  )
}
