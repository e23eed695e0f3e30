import { sourceKinds, sourceOf, type LoadBasis } from '../loads/registry.ts'
import { percentBefore } from '../loads/source.ts'
import { percentField } from '../reading/index.ts'
import { limits } from './shape.ts'
import { formatSpan, type Goal, type SetGroup, type Slot, type Template } from './types.ts'

/** The cells of a group of sets, in the order of a week sheet. */
export const cellFields = ['sets', 'goal', 'load', 'rir', 'rest'] as const
export type CellField = (typeof cellFields)[number]

/** A cell as it is read and typed: "3", "8-10", "5+", "75%", "75% TM", "rule", "free", "2", "3:00". */
export function formatCell(field: CellField, group: SetGroup): string {
  const write: Record<CellField, () => string> = {
    sets: () => String(group.sets),
    goal: () => formatSpan(group.goal.reps) + (group.goal.plus ? '+' : ''),
    load: () => sourceOf[group.load.of].cell(group.load),
    rir: () => (group.rir === undefined ? '' : String(group.rir)),
    rest: () => (group.rest === undefined ? '' : formatRest(group.rest)),
  }
  return write[field]()
}

export type TypedCell = { value: SetGroup[CellField] | null; error?: undefined } | { error: string }

/** What was typed into a cell as its value, or a plain sentence about what it takes. Nothing typed clears RIR and rest. */
export function parseCell(
  field: CellField,
  text: string,
  group: SetGroup,
  slot: Slot,
  template: Template,
): TypedCell {
  const typed = text.trim().toLowerCase()
  const read: Record<CellField, () => TypedCell> = {
    sets: () => wholeCell(typed, 1, limits.sets, 'Sets'),
    goal: () => parseGoal(typed),
    load: () => parseLoad(typed, group, slot, template),
    rir: () => (typed ? wholeCell(typed, 0, 10, 'Reps in reserve') : { value: null }),
    rest: () => (typed ? parseRest(typed) : { value: null }),
  }
  return read[field]()
}

/** "3:00", "0:45". */
export const formatRest = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`

function wholeCell(typed: string, from: number, to: number, what: string): TypedCell {
  const value = Number(typed)
  if (/^\d+$/.test(typed) && value >= from && value <= to) return { value }
  return { error: `${what}: a whole number from ${from} to ${to}.` }
}

function parseGoal(typed: string): TypedCell {
  const match = /^(\d+)(?:\s*[-–]\s*(\d+))?\s*(\+)?$/.exec(typed)
  const [from, to] = [Number(match?.[1]), match?.[2] ? Number(match[2]) : undefined]
  const isFit = match && from >= 1 && (to ?? from) <= 100 && (to === undefined || to > from)
  if (!isFit) return { error: 'Reps: a number from 1 to 100, a range like 8-10, or 5+ for a plus set.' }
  const goal: Goal = {
    reps: to === undefined ? from : { from, to },
    ...(match[3] && { plus: 'last' as const }),
  }
  return { value: goal }
}

function parseLoad(typed: string, { load }: SetGroup, slot: Slot, template: Template): TypedCell {
  const basis = readBasis(typed, load, template)
  if (!basis)
    return {
      error:
        'Load: 75%, 75% TM or 90% 5RM, "rule" or "80% rule", "85% of back squat", 90% top or "top -20kg/40lb", "80% volume" for another day’s load, "effort", "free", or "none".',
    }
  if ('percent' in basis && basis.percent !== undefined && !percentField().isValidSync(basis.percent)) {
    return { error: `A percent is above 0 and at most 150, not ${basis.percent}.` }
  }
  if ((basis.of === 'progression' || basis.of === 'role') && !slot.follows.length)
    return { error: 'This slot follows no progression: give it a percent.' }
  if (basis.of === 'trainingMax' && template.trainingMax === undefined)
    return { error: 'This template states no training max.' }
  return { value: basis }
}

function readBasis(typed: string, now: LoadBasis, template: Template): LoadBasis | null {
  for (const of of sourceKinds) {
    const params = sourceOf[of].read(typed)
    if (params) return { of, ...params } as LoadBasis
  }
  const percent = percentBefore(typed, /^$/)
  if (percent === null) return null
  if ('percent' in now && now.percent !== undefined) return { ...now, percent }
  return { of: template.trainingMax === undefined ? 'max' : 'trainingMax', percent }
}

function parseRest(typed: string): TypedCell {
  const clock = /^(\d{1,2}):(\d{2})$/.exec(typed)
  const plain = /^(\d+)\s*(s|sec|min|m)?$/.exec(typed)
  const seconds = clock
    ? Number(clock[1]) * 60 + Number(clock[2])
    : Number(plain?.[1]) * (plain?.[2]?.startsWith('m') ? 60 : 1)
  if ((clock || plain) && seconds <= 1800) return { value: seconds }
  return { error: 'Rest: seconds (90), minutes (3 min) or 1:30, at most 30 minutes.' }
}
