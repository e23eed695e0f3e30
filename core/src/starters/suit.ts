import type { About, Days, Priorities, TrainingAge } from '../facts/index.ts'
import { mainMuscle } from '../library/index.ts'
import { seasonOf } from '../views/index.ts'
import { starterKinds, starterOf, type StarterKind } from './registry.ts'
import { templateOf, type Starter } from './starter.ts'

/** What a profile says that a template to begin with may suit or not. */
export type Wanted = { about: Pick<About, 'training'>; days: Days; priorities: Priorities }

/** How a template suits a profile; null where the profile does not say. */
export type Suit = {
  kind: StarterKind
  /** Sessions a week of its first phase, and whether there are days for them. */
  perWeek: number
  hasDays: boolean | null
  /** About the minutes of its longest session, without warm-ups, and whether there is time for them. */
  minutes: number
  hasTime: boolean | null
  isLevel: boolean | null
  /** Of its exercises the share that trains what comes first, in percent. */
  priority: number | null
}

/** The level that so many years with weights come to, as templates name theirs (common practice, no source). */
const levelOf: Record<TrainingAge, Starter['level']> = {
  underOneYear: 'novice',
  oneToThreeYears: 'intermediate',
  overThreeYears: 'advanced',
}

/** Templates to begin with, those first that miss least of a profile; of equal ones those that train its priorities most. */
export function suitsOf(wanted: Wanted): Suit[] {
  return starterKinds
    .map((kind) => suitOf(kind, wanted))
    .sort((a, b) => missesOf(a) - missesOf(b) || (b.priority ?? 0) - (a.priority ?? 0))
}

const missesOf = ({ hasDays, hasTime, isLevel }: Suit): number =>
  [hasDays, hasTime, isLevel].filter((fits) => fits === false).length

function suitOf(kind: StarterKind, { about, days, priorities }: Wanted): Suit {
  const start = starterOf[kind]
  const template = templateOf(start)
  const perWeek = start.phases[0]?.perWeek ?? 0
  const minutes = Math.max(...seasonOf({}, template).map((week) => week.minutes))
  const slots = Object.values(template.slots)
  const wanted = new Set<string>([...priorities.muscles, ...priorities.lifts])
  const trains = slots.filter((slot) => wanted.has(slot.exercise) || wanted.has(mainMuscle({}, slot) ?? ''))
  const { training } = about
  return {
    kind,
    perWeek,
    hasDays: days.weekdays.length ? perWeek === days.weekdays.length : null,
    minutes,
    hasTime: days.minutes === undefined ? null : minutes <= days.minutes,
    isLevel: training ? start.level === levelOf[training] : null,
    priority: wanted.size ? Math.round((100 * trains.length) / slots.length) : null,
  }
}
