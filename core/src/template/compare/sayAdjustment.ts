import {
  type Adjustment,
  type SetsDraft,
  changeOf,
  actsOn,
  type Spot,
  type Where,
} from '../../adjustments/index.ts'
import type { Id } from '../../parsing/index.ts'
import { liftName, type Library } from '../../library/index.ts'
import { sourceOf } from '../../loads/index.ts'
import { formatDay } from '../../units/index.ts'
import type { SetPrescription, Template } from '../types.ts'

/** A difference in words: where it is, and what it is. */
export type Difference = { where: string; what: string }

/** What a track changes of its template, line by line. */
export const trackDifferences = (library: Library, template: Template, track: Id): Difference[] =>
  (template.tracks[track]?.changes ?? []).map((change) => sayAdjustment(library, template, change))

/** What a track changes of one slot's sets at one spot, in words; a change that leaves them as they are is none. */
export function trackAt(
  library: Library,
  template: Template,
  track: Id,
  spot: Spot,
  prescriptions: readonly SetPrescription[],
): string[] {
  const { changes = [], name = '' } = template.tracks[track] ?? {}
  return changes
    .filter(({ do: change, where }) => {
      const { onSlot, onSets: onPrescribed } = changeOf[change.kind]
      if (!actsOn(where, spot)) return false
      return (
        onSlot !== undefined ||
        prescriptions.some((prescribed) => onPrescribed?.(asDraft(prescribed), change, name))
      )
    })
    .map(({ do: change }) => `${name}: ${changeOf[change.kind].sentence(change, library)}`)
}

/** A prescription as changes see it: one without a load has no percent. */
function asDraft({ sets, load, rir, goal }: SetPrescription): SetsDraft {
  const percent = 'percent' in load && load.percent !== undefined ? load.percent : 100
  return {
    sets,
    percent: sourceOf[load.of].computes ? percent : null,
    scale: 100,
    ...(rir !== undefined && { rir }),
    ...('reps' in goal && { reps: goal.reps }),
  }
}

/** An adjustment as a line: "Back squat, week 4" and "load −10%". */
export function sayAdjustment(
  library: Library,
  template: Template,
  { do: change, where }: Adjustment,
): Difference {
  const what = changeOf[change.kind].sentence(change, library)
  const [first] = changeOf[change.kind].names?.(change) ?? []
  const about = first === undefined ? [] : [slotName(library, template, first)]
  const places = [...about, ...placesOf(library, template, where)]
  return { where: places.join(', ') || 'everywhere', what }
}

function placesOf(library: Library, template: Template, where: Where): string[] {
  const { phases, weeks, inWeek, toTest, days, sessions, slots, lifts, muscles, tracks, training } = where
  const numbers = (what: string, list: number[] | undefined) =>
    list ? [`${what}${list.length > 1 ? 's' : ''} ${list.join(', ')}`] : []
  return [
    ...(slots ?? []).map((id) => slotName(library, template, id)),
    ...(lifts ?? []).map((lift) => liftName(library, lift)),
    ...(muscles ?? []),
    ...(sessions ?? []).map((id) => template.sessions[id]?.name ?? id),
    ...(phases ?? []).map((id) => template.phases.find((phase) => phase.id === id)?.name ?? id),
    ...numbers('week', weeks),
    ...numbers('day', inWeek),
    ...(toTest ?? []).map((left) => (left ? `${left} weeks before the test` : 'the week of the test')),
    ...(days ? [`${formatDay(days.from)} to ${formatDay(days.to)}`] : []),
    ...(tracks ?? []).map((id) => (id === 'none' ? 'on no track' : `on ${template.tracks[id]?.name ?? id}`)),
    ...(training ?? []).map((age) => trainingWords[age]),
  ]
}

const trainingWords = {
  underOneYear: 'under one year of training',
  oneToThreeYears: 'one to three years of training',
  overThreeYears: 'over three years of training',
  untold: 'years of training not told',
} as const

/** "Back squat (Session A)", or the id of a slot that is gone. */
export function slotName(library: Library, { slots, sessions }: Template, id: Id): string {
  const slot = slots[id]
  if (!slot) return id
  const session = Object.values(sessions).find(({ sections: parts }) =>
    parts.some((part) => part.slots.includes(id)),
  )
  return session ? `${liftName(library, slot)} (${session.name})` : liftName(library, slot)
}
