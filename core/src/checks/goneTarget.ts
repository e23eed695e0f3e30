import { changeOf, type Adjustment } from '../adjustments/index.ts'
import { liftName, mainMuscle, type Library, type Lift } from '../library/index.ts'
import { setsOfSlot, type Template } from '../template/index.ts'
import { defineCheck, type Found } from './check.ts'

const ownChange = 'custom change'

/**
 * Adjustments that name a slot, a session, a phase, a lift or a muscle which the version does not have are kept, and do nothing: those of every track,
 * whoever is on it, of deloads, and the member's own.
 */
export const goneTarget = defineCheck({
  kind: 'goneTarget',
  title: 'Changes whose target is gone',
  sure: 'rule',
  ofEnrolment({ library, template, evidence }) {
    const all: [whose: string, changes: Adjustment[]][] = [
      ...Object.values(template.tracks).map(({ name, changes }): [string, Adjustment[]] => [
        `track ${name}`,
        changes,
      ]),
      ['deload', template.phases.flatMap(({ deloads: deload }) => deload)],
      [ownChange, evidence.own],
    ]
    const lifts = liftsIn(
      template,
      all.flatMap(([, changes]) => changes),
    )
    return all.flatMap(([whose, changes]) =>
      changes.flatMap((change) => {
        const gone = goneIn(template, lifts, library, change)
        if (!gone.length) return []
        const where = `${whose}, ${change.id}`
        const found: Found<'gone'> = {
          message: 'gone',
          subject: change.id,
          where,
          value: gone.join('", "'),
        }
        return [whose === ownChange ? found : { ...found, forWriter: true as const }]
      }),
    )
  },
  messages: {
    gone: {
      what: '"{value}" is not in this version: the change is kept, but has no effect.',
      next: 'Choose another target for the change, or remove the change.',
    },
  },
})

function goneIn(
  template: Template,
  lifts: Lift[],
  library: Library,
  { do: change, where }: Adjustment,
): string[] {
  const { slots, sessions, phases, tracks } = template
  const known = (id: string): boolean => Object.hasOwn(slots, id)
  return [
    ...(where.slots ?? []).filter((one) => !known(one)),
    ...(changeOf[change.kind].names?.(change) ?? []).filter((one) => !known(one)),
    ...(where.tracks ?? []).filter((one) => one !== 'none' && !tracks[one]),
    ...(where.sessions ?? []).filter((one) => !sessions[one]),
    ...(where.lifts ?? [])
      .filter((lift) => !lifts.some(({ exercise }) => exercise === lift.exercise))
      .map((lift) => liftName(library, lift)),
    ...(where.muscles ?? []).filter((muscle) => !lifts.some((lift) => mainMuscle(library, lift) === muscle)),
    ...(where.phases ?? []).filter((one) => !phases.some((phase) => phase.id === one)),
  ]
}

/** Every lift that a slot may come to have: its own, those of its rotation and its choice, those of a circuit, and those that changes put in its place. */
const liftsIn = ({ slots }: Template, changes: Adjustment[]): Lift[] => [
  ...Object.values(slots).flatMap((slot) => [
    slot,
    ...(slot.rotation?.with ?? []),
    ...(slot.choices ?? []),
    ...setsOfSlot(slot).flatMap(({ lift }) => lift ?? []),
  ]),
  ...changes.flatMap(({ do: change }) => (change.kind === 'swap' ? [change] : [])),
]
