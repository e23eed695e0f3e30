import { mostOf, sourceOf, type LoadBasis } from '../loads/index.ts'
import { canCarry, ruleOf } from '../progressions/index.ts'
import { snap } from '../units/index.ts'
import {
  fixable,
  rulesOf,
  setsOfSlot,
  type Fixable,
  type Use,
  type SetPrescription,
  type Slot,
  type Template,
} from './types.ts'

/** Whether any prescription of a slot, in any row, is given a load. */
export const hasComputedLoad = (slot: Slot): boolean =>
  setsOfSlot(slot).some(({ load }) => sourceOf[load.of].computes)

/** The most percent of the 1RM that a load states, 0 where it states none. */
export function percentOfMax(load: LoadBasis, { trainingMax = 100 }: Pick<Template, 'trainingMax'>): number {
  if (load.of === 'max') return mostOf(load)
  return load.of === 'trainingMax' ? snap((mostOf(load) * trainingMax) / 100) : 0
}

/** Whether a prescription states more than the 1RM although it is no test and does not say that it is meant. */
export const isOverMax = (
  { load, kind: part, over }: Pick<SetPrescription, 'load' | 'kind' | 'over'>,
  template: Pick<Template, 'trainingMax'>,
): boolean => percentOfMax(load, template) > 100 && part !== 'test' && !over

/** Whether a prescription of a row is one that a rule may write sets and reps of: what the progression loads, or else all of them. */
export const takesScheme = (row: SetPrescription[], { load }: SetPrescription): boolean =>
  load.of === 'progression' || !row.some((one) => one.load.of === 'progression')

/** What rules write, by the cell that it stands in. */
export const writtenIn = { sets: 'sets', goal: 'reps', rir: 'rir' } as const satisfies Record<Fixable, string>

/** The cells of a prescription that a rule would write in place of what stands there, whether the writer has fixed them or not. */
export function rulesCells(
  { progressions }: Pick<Template, 'progressions'>,
  { uses }: { uses: Use[] },
  row: SetPrescription[],
  prescribed: SetPrescription,
): Fixable[] {
  if (!takesScheme(row, prescribed)) return []
  const rules = uses.flatMap(({ progression }) => rulesOf(progressions[progression]))
  const writing = rules
    .map(({ rule }) => ruleOf[rule])
    .filter(({ carriedBy }) => !carriedBy || canCarry(carriedBy, prescribed))
  return fixable.filter((cell) =>
    writing.some(({ writes, adds }) => writes.includes(writtenIn[cell]) && !adds?.includes(writtenIn[cell])),
  )
}

/** The cells of a prescription that a rule writes in place of what stands there. */
export const cellsByRule = (
  template: Pick<Template, 'progressions'>,
  slot: Slot,
  row: SetPrescription[],
  prescribed: SetPrescription,
): Fixable[] =>
  rulesCells(template, slot, row, prescribed).filter((cell) => !prescribed.fixed?.includes(cell))
