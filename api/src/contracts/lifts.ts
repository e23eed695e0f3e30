import {
  isExerciseId,
  muscles,
  patterns,
  readings,
  tools,
  type ExerciseId,
  type Lift,
  type Muscle,
  type OwnExercise,
} from '@young-oak/core/library'
import { type FormulaKind, formulaKinds } from '@young-oak/core/maxes'
import type { SetSeen } from '@young-oak/core/evidence'
import {
  amountUnits,
  specialBars,
  type Amount,
  type Load,
  type Rack,
  type Unit,
  fixedTools,
  type Fixed,
} from '@young-oak/core/units'
import type { EquipmentBody } from '@young-oak/core/facts'
import { choice, count, exact, figure, isTrue, left, list, pair, readBy, text, type Reads } from './reads.ts'

export const exerciseId = (): Reads<ExerciseId> =>
  readBy('id of an exercise', (value) => (isExerciseId(value) ? null : 'must be the id of an exercise'))
export const liftKeys = () => ({ exercise: exerciseId(), variant: left(text()) })
export const lift = () => exact<Lift>(liftKeys())
export const unit = (): Reads<Unit> => choice('kg', 'lb')
export const load = () => exact<Load>({ value: figure(), unit: unit() }, 'Load')
export const amount = () => exact<Amount>({ value: figure(), unit: choice(...amountUnits) })
export const muscle = (): Reads<Muscle> => choice(...muscles)
export const formula = (): Reads<FormulaKind> => choice(...formulaKinds)

const seenKeys = () => ({
  load: load(),
  help: left(isTrue()),
  body: left(load()),
  reps: count(),
  rir: left(count()),
})
/** A set that a max comes from. */
export const setSeen = () => exact<SetSeen>(seenKeys())
export const setSeenBy = <F extends string>(by: Reads<F>) =>
  exact<SetSeen & { formula?: F }>({ ...seenKeys(), formula: left(by) } as never)

export const exercise = () =>
  exact<OwnExercise>(
    {
      name: text(),
      pattern: choice(...patterns),
      tool: choice(...tools),
      reads: choice(...readings),
      direct: list(muscle()),
      indirect: list(muscle()),
      reps: pair(count()),
      cost: count(),
      spine: count(),
      cue: text(),
      caution: left(text()),
      isHeld: left(isTrue()),
      perSide: left(isTrue()),
      bar: left(choice(...specialBars)),
      parent: left(exact<{ exercise: string; percent: number }>({ exercise: text(), percent: figure() })),
      substitutes: left(list(text())),
      also: left(text()),
      mergedInto: left(exerciseId()),
    },
    'Exercise',
  )

const rack = () =>
  exact<Rack>({
    unit: unit(),
    bar: figure(),
    bars: left(list(figure())),
    special: left(
      exact<NonNullable<Rack['special']>>({
        'trap bar': left(figure()),
        'safety bar': left(figure()),
        'curl bar': left(figure()),
        'guided bar': left(figure()),
      }),
    ),
    plates: list(exact<Rack['plates'][number]>({ weight: figure(), pairs: count() })),
  })
const fixed = () =>
  exact<Fixed>({
    tool: choice(...fixedTools),
    exercise: left(text()),
    unit: unit(),
    loads: list(figure()),
    plates: left(list(figure())),
  })
export const equipment = () =>
  exact<EquipmentBody>({ racks: list(rack()), fixed: left(list(fixed())) }, 'Equipment')
