import { actsOn, changeOf, slotSpot, type Spot } from '../adjustments/index.ts'
import { isSameLift, liftName, type Lift } from '../library/index.ts'
import { sourceOf } from '../loads/index.ts'
import { rowWeeks, slotsOf, type Slot, type Template } from '../template/index.ts'
import { defineCheck, type EnrolmentSeen } from './check.ts'

type Message = 'leftOut' | 'otherLift'

/** Slots that follow the top set of another one, which the track leaves out or gives another exercise. */
export const topSetGone = defineCheck<Message>({
  kind: 'topSetGone',
  title: 'Top sets that a track takes away',
  sure: 'rule',
  ofEnrolment: (seen) =>
    followersIn(seen.template).flatMap(({ id, slot, reads }) => {
      const found = reads.flatMap((read) => goneIn(seen, id, read) ?? [])
      return found.slice(0, 1).map((one) => ({ ...one, subject: id, where: liftName(seen.library, slot) }))
    }),
  messages: {
    leftOut: {
      what: 'The load follows the top set of the {lift}, which track {track} leaves out in week {week} of {phase}: no load is given.',
      next: 'Leave this exercise out of the track too, or give its load another basis.',
    },
    otherLift: {
      what: 'The load follows the top set of the {lift}, which track {track} replaces in week {week} of {phase}: no load is given.',
      next: 'Replace this exercise in the track too, or give its load another basis.',
    },
  },
})

type Follower = { id: string; slot: Slot; reads: string[] }

/** The slots that read the top set of another one. A template that has been read is never changed in place, so they are found once. */
function followersIn(template: Template): Follower[] {
  const known = followers.get(template)
  if (known) return known
  const found = Object.entries(template.slots).flatMap(([id, slot]): Follower[] => {
    const reads = readOf(slot)
    return reads.length ? [{ id, slot, reads }] : []
  })
  followers.set(template, found)
  return found
}

const followers = new WeakMap<Template, Follower[]>()

/** Other slots whose top set a slot reads. */
const readOf = ({ rows }: Slot): string[] => [
  ...new Set(
    Object.values(rows)
      .flat(2)
      .flatMap(({ load }) => sourceOf[load.of].reads?.(load).slot ?? []),
  ),
]

/** The first week in which the track takes the top set of a slot away from one that stays. */
function goneIn(seen: EnrolmentSeen, id: string, read: string) {
  const { library, template } = seen
  const [own, top] = [template.slots[id], template.slots[read]]
  if (!own || !top) return null
  for (const phase of template.phases)
    for (const session of phase.rotation) {
      const slots = template.sessions[session] ? slotsOf(template.sessions[session]) : []
      if (!slots.includes(id) || !slots.includes(read)) continue
      for (let phaseWeek = 1; phaseWeek <= rowWeeks(phase); phaseWeek++)
        for (let inWeek = 1; inWeek <= phase.perWeek; inWeek++) {
          const spot = { phase: phase.id, phaseWeek, inWeek, session }
          const [stays, from] = [liftAt(seen, spot, id, own), liftAt(seen, spot, read, top)]
          if (!stays || (from && isSameLift(from, stays))) continue
          const isAsWritten = isSameLift(stays, own) && from && isSameLift(from, top)
          if (isAsWritten) continue
          const data = {
            lift: liftName(library, top).toLowerCase(),
            track: template.tracks[seen.track ?? '']?.name ?? '',
            week: phaseWeek,
            phase: phase.name,
          }
          return { message: from ? ('otherLift' as const) : ('leftOut' as const), data }
        }
    }
  return null
}

/** The lift that a slot has on the track at a spot; null where it is left out. */
function liftAt(
  { library, template, track }: EnrolmentSeen,
  spot: Spot,
  id: string,
  slot: Slot,
): Lift | null {
  let lift: Lift = slot
  for (const { do: change, where } of template.tracks[track ?? '']?.changes ?? []) {
    if (!actsOn(where, slotSpot(library, spot, id, lift))) continue
    const made = changeOf[change.kind].onSlot?.({ id }, change, '', library)
    if (made && !made.now) return null
    lift = made?.now?.lift ?? lift
  }
  return lift
}
