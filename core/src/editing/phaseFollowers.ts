import type { Command, Phase, Template } from '../template/index.ts'
import type { Id } from '../parsing/index.ts'
import type { Adjustment, Where } from '../adjustments/index.ts'
import type { Mint } from './built.ts'

/**
 * What else speaks of a phase: changes of tracks and rules of progressions. Changes of weeks past a phase's new end go, with them
 * deloads.
 */
export function trimWeeks(draft: Template, phase: Phase, weeks: number): Command[] {
  const within = (one: Adjustment): Adjustment[] => {
    const { weeks: list } = one.where
    if (!list?.some((week) => week > weeks)) return [one]
    const kept = list.filter((week) => week <= weeks)
    return kept.length ? [{ ...one, where: { ...one.where, weeks: kept } }] : []
  }
  const deload = phase.deloads.flatMap(within)
  const isTrimmed = deload.length < phase.deloads.length || deload.some((one, i) => one !== phase.deloads[i])
  return [
    ...(isTrimmed ? [{ do: 'setDeloads', phase: phase.id, from: phase.deloads, to: deload } as Command] : []),
    ...changesOf(draft, (one) => (isOnly(one.where, phase.id) ? within(one) : [one])),
  ]
}

/** A phase that begins where another was cut, or that repeats it: what acted on the other's weeks acts on the same weeks still. */
export function withSplit(
  draft: Template,
  phase: Id,
  { id, after }: { id: Id; after: number },
  mint: Mint,
): Command[] {
  const split = (one: Adjustment): Adjustment[] => {
    const { phases, weeks } = one.where
    if (phases && !phases.includes(phase)) return [one]
    if (!weeks) return phases ? [{ ...one, where: { ...one.where, phases: [...phases, id] } }] : [one]
    const others = (phases ?? draft.phases.map((known) => known.id)).filter((known) => known !== phase)
    const pieces: { phases: Id[]; weeks: number[] }[] = [
      { phases: others, weeks },
      { phases: [phase], weeks: after ? weeks.filter((week) => week <= after) : weeks },
      { phases: [id], weeks: weeks.filter((week) => week > after).map((week) => week - after) },
    ]
    return pieces
      .filter((piece) => piece.phases.length && piece.weeks.length)
      .map((piece, i) => ({ ...one, id: i ? mint() : one.id, where: { ...one.where, ...piece } }))
  }
  return [
    ...changesOf(draft, split),
    ...Object.entries(draft.progressions).flatMap(([progression, own]): Command[] => {
      const rule = own.inPhases?.find((one) => one.phase === phase)
      if (!rule) return []
      const to = { ...own, inPhases: [...(own.inPhases ?? []), { ...rule, phase: id }] }
      return [{ do: 'setProgression', progression, from: own, to }]
    }),
  ]
}

/** Changes and rules of a phase that goes. */
export function forgetPhase(draft: Template, phase: Id): Command[] {
  const forget = (one: Adjustment): Adjustment[] => {
    const { phases } = one.where
    if (!phases?.includes(phase)) return [one]
    const kept = phases.filter((known) => known !== phase)
    return kept.length ? [{ ...one, where: { ...one.where, phases: kept } }] : []
  }
  return [
    ...changesOf(draft, forget),
    ...Object.entries(draft.progressions).flatMap(([progression, own]): Command[] => {
      if (!own.inPhases?.some((one) => one.phase === phase)) return []
      const { inPhases, ...rest } = own
      const kept = inPhases.filter((one) => one.phase !== phase)
      return [
        {
          do: 'setProgression',
          progression,
          from: own,
          to: kept.length ? { ...rest, inPhases: kept } : rest,
        },
      ]
    }),
  ]
}

/** The commands by which each change of each track becomes others, or none. */
export function changesOf({ tracks }: Template, become: (one: Adjustment) => Adjustment[]): Command[] {
  return Object.entries(tracks).flatMap(([track, { changes }]) => {
    // From the last to the first, so that each finds the one before it when it is taken back.
    return changes
      .flatMap((from, i): Command[] => {
        const [first = null, ...more] = become(from)
        const put = more.map((to): Command => ({ do: 'setChange', track, change: to.id, from: null, to }))
        if (first === from) return put
        const after = changes[i - 1]?.id ?? ''
        return [...put, { do: 'setChange', track, change: from.id, after, from, to: first }]
      })
      .reverse()
  })
}

const isOnly = ({ phases }: Where, phase: Id): boolean => phases?.length === 1 && phases[0] === phase
