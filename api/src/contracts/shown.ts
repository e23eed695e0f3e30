import { goalShapes, keyOf, type OtherGoal } from '@young-oak/core/goals'
import type { Today } from '@young-oak/core/loads'
import {
  beyonds,
  reasons,
  type Beyond,
  type Shown,
  type ShownAt,
  type ShownSets,
  type ShownSlot,
} from '@young-oak/core/member'
import {
  readDraft,
  readPublished,
  setPrescriptionShape,
  type Circuit,
  type Template,
} from '@young-oak/core/template'
import type { LastTime } from '@young-oak/core/evidence'
import { formatIssue } from '@young-oak/core/parsing'
import type { Library } from '@young-oak/core/library'
import { ways, type Span, type Step } from '@young-oak/core/units'
import type { WarmUpSet } from '@young-oak/core/warmups'
import type { Value, WhyStep } from '@young-oak/core/words'
import type { AnySchema } from 'yup'
import { amount, lift, liftKeys, load } from './lifts.ts'
import {
  byKey,
  choice,
  count,
  date,
  either,
  exact,
  exactly,
  faultIn,
  figure,
  isTrue,
  left,
  list,
  orNull,
  readBy,
  text,
  type Reads,
} from './reads.ts'

/** A template as the core reads it, whose reader refuses what it does not know. */
const templateBy = (read: typeof readDraft): Reads<Template> =>
  readBy('template of format 2', (value, { library }: { library?: Library }) => {
    const { issues } = read(value, library)
    return issues ? issues.map(formatIssue).join(' ') : null
  })
export const draft = () => templateBy(readDraft)
export const version = () => templateBy(readPublished)

const value = (): Reads<Value> => either<[string, number, Value]>(text(), figure(), load() as Reads<Value>)
export const whyStep = () => exact<WhyStep>({ id: text(), data: byKey(value()) }, 'WhyStep')

const span = (): Reads<Span> =>
  either<[number, Exclude<Span, number>]>(
    figure(),
    exact<Exclude<Span, number>>({ from: figure(), to: figure() } as never),
  ) as Reads<Span>
export const step = () => exact<Step>({ kg: figure(), lb: figure() })
const today = () =>
  exact<Today>({
    percent: figure(),
    drop: left(step()),
    slot: left(text()),
    prescription: left(text()),
    scale: left(figure()),
    most: left(load()),
    way: choice(...ways),
  })
const otherGoal = (): Reads<OtherGoal> =>
  readBy('goal', (given) => {
    const key = typeof given === 'object' && given !== null ? keyOf(given) : undefined
    return key ? faultIn(goalShapes[key], given) : 'must be a goal'
  })

/** A field of a prescription that is shown just as it is written: its own schema is the template's. */
const written = (field: keyof typeof setPrescriptionShape.fields) => {
  const schema = setPrescriptionShape.fields[field] as unknown as AnySchema
  return left(
    schema.meta({ outline: (schema.spec.meta as { expected?: string }).expected ?? schema.type }),
  ) as never
}

export const shownSets = () =>
  exact<ShownSets>(
    {
      lift: left(lift()),
      kind: written('kind'),
      rest: written('rest'),
      roundRest: written('roundRest'),
      tempo: written('tempo'),
      perSide: written('perSide'),
      option: written('option'),
      style: written('style'),
      bands: written('bands'),
      least: written('least'),
      stop: written('stop'),
      prescription: text(),
      sets: count(),
      reps: orNull(span()),
      amrap: left(choice('last', 'all')),
      goal: left(otherGoal()),
      rir: left(count()),
      target: orNull(load()),
      load: orNull(load()),
      upTo: left(load()),
      ruled: left(load()),
      byRule: left(
        exact<NonNullable<ShownSets['byRule']>>({
          sets: count(),
          moreSets: left(count()),
          moreReps: left(count()),
          total: left(count()),
        }),
      ),
      side: left(list(figure())),
      bar: left(figure()),
      hung: left(list(figure())),
      pin: left(figure()),
      body: left(load()),
      help: left(isTrue()),
      missing: left(isTrue()),
      need: left(choice('max', 'bodyWeight', 'role', 'topSet')),
      short: left(isTrue()),
      beyond: left(exact<Beyond>({ how: choice(...beyonds), max: load(), most: load(), reps: count() })),
      today: left(today()),
      why: list(whyStep()),
    },
    'ShownSets',
  )

export const circuit = () =>
  exact<Circuit>({
    name: text(),
    by: choice('time', 'rounds'),
    rounds: left(count()),
    capSeconds: left(count()),
  })
export const warmUp = () =>
  exact<WarmUpSet>({
    load: load(),
    reps: count(),
    side: left(list(figure())),
    bar: left(figure()),
    why: list(whyStep()),
  })

export const doneKeys = () => ({
  load: left(load()),
  help: left(isTrue()),
  reps: left(count()),
  amount: left(amount()),
  rir: left(count()),
})
export const lastTime = () =>
  exact<LastTime>({
    date: date(),
    sets: list(exact<LastTime['sets'][number]>({ ...doneKeys(), failed: left(isTrue()) })),
  })

export const reason = () => choice(...reasons)

const shownSlot = () =>
  exact<ShownSlot>({
    ...liftKeys(),
    deload: left(isTrue()),
    circuit: left(circuit()),
    warmUps: left(list(warmUp())),
    sets: list(shownSets()),
  })
export const shown = () =>
  exact<Shown>(
    {
      format: exactly(2),
      engine: text(),
      version: text(),
      at: exact<ShownAt>({
        phase: text(),
        week: count(),
        phaseWeek: count(),
        inWeek: count(),
        session: text(),
        deload: left(orNull(exact<NonNullable<ShownAt['deload']>>({ fact: text(), week: count() }))),
        toTest: left(count()),
      }),
      slots: byKey(shownSlot()),
    },
    'Shown',
  )
