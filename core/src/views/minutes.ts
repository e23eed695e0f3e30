import type { Id } from '../parsing/index.ts'
import { kindOf, type Goal } from '../goals/index.ts'
import { exerciseOf, type Tool, type Library } from '../library/index.ts'
import type { ShownSets } from '../member/index.ts'
import type { Circuit, Template } from '../template/index.ts'
import type { PlannedSlot } from '../plan/index.ts'
import { highest, lowest } from '../units/index.ts'

/** What a session takes where nothing is stated, in seconds (common practice, no source). */
const usual = {
  aRep: 3,
  rest: 90,
  /** A set whose time nobody can tell. */
  aSet: 40,
  warmUpRest: 60,
  /** As fast as possible. */
  x: 1,
}
const setUp: Record<Tool, number> = { barbell: 90, dumbbells: 30, machine: 30, 'body weight': 20 }

/** What of a planned slot tells on its minutes. */
export type MinutesOf = Pick<PlannedSlot, 'slot' | 'exercise' | 'warmUps' | 'circuit'> & {
  sets: TimedSets[]
}
type TimedSets = Pick<ShownSets, 'sets' | 'reps' | 'amrap' | 'perSide' | 'tempo' | 'rest' | 'roundRest'> & {
  goal?: Goal
}

/**
 * Minutes that a session takes as it is planned for somebody: what its parts state, and for the others the set-up of each
 * exercise, its warm-up sets, and its sets with the rests between them. A stronger member ramps longer.
 */
export function minutesOf(library: Library, template: Template, session: Id, slots: MinutesOf[]): number {
  const parts = template.sessions[session]?.sections ?? []
  const stated = parts.filter(({ minutes }) => minutes !== undefined)
  const within = new Set(stated.flatMap((part) => part.slots))
  const timed = slots.filter(({ slot }) => !within.has(slot))
  const seconds = timed.reduce((sum, slot, i) => {
    const letter = template.slots[slot.slot]?.superset
    const next = timed[i + 1]
    const goesOn =
      letter !== undefined && next !== undefined && template.slots[next.slot]?.superset === letter
    return sum + secondsOf(library, slot, template.tempoX) - (goesOn ? 0 : lastRest(slot))
  }, 0)
  return Math.round(stated.reduce((sum, { minutes = 0 }) => sum + minutes, 0) + seconds / 60)
}

function secondsOf(library: Library, slot: MinutesOf, x = usual.x): number {
  if (slot.circuit) return setUp.barbell + secondsOfCircuit(slot.circuit, slot.sets, x)
  const warmUps = (slot.warmUps ?? []).reduce(
    (sum, { reps }) => sum + reps * usual.aRep + usual.warmUpRest,
    0,
  )
  const sets = slot.sets.reduce((sum, prescribed) => sum + secondsOfSets(prescribed, x), 0)
  return setUp[exerciseOf(library, slot).tool] + warmUps + sets
}

/** The rest after the last set, of a superset after its last exercise, is spent on the way to the next one. */
function lastRest({ circuit, sets }: MinutesOf): number {
  const last = sets.at(-1)
  if (circuit || !last) return 0
  return secondsOfRest(last) + (last.roundRest ?? 0)
}

/** Of a rest from so long to so long the middle. */
const secondsOfRest = ({ rest = usual.rest }: TimedSets): number => (lowest(rest) + highest(rest)) / 2

function secondsOfSets(prescribed: TimedSets, x: number): number {
  const { sets, reps, amrap, goal, perSide, tempo, roundRest = 0 } = prescribed
  const asked: Goal = goal ?? { reps: reps ?? 1, ...(amrap && { amrap }) }
  const aSet = kindOf(asked).seconds(asked, tempo ? aRepAt(tempo, x) : usual.aRep, sets) ?? usual.aSet
  return sets * (aSet * (perSide ? 2 : 1) + secondsOfRest(prescribed) + roundRest)
}

/** Its cap; or its rounds of lines done one after the other, without rest. */
function secondsOfCircuit({ rounds = 1, capSeconds }: Circuit, lines: TimedSets[], x: number): number {
  const aRound = lines.reduce(
    (sum, line) => sum + secondsOfSets({ ...line, sets: 1, rest: 0, roundRest: 0 }, x),
    0,
  )
  return capSeconds ?? rounds * aRound
}

/** Seconds of a rep: the four digits together, an X counting as many as the template says. */
const aRepAt = (tempo: string, x: number): number =>
  [...tempo].reduce((sum, digit) => sum + (digit === 'X' ? x : Number(digit)), 0) || usual.aRep
