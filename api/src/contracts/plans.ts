import { goalOf, keyOf, type OtherGoal } from '@young-oak/core/goals'
import type { Need, Today } from '@young-oak/core/loads'
import {
  type Enrolment,
  type Segment,
  type SessionLog,
  type SetLog,
  type Shown,
  type ShownAt,
  type ShownSets,
  type ShownSlot,
  reasons,
  type Instead,
  type PlaceName,
  type Side,
  type Skipped,
  type Start,
} from '@young-oak/core/member'
import type { Plan, PlannedSession, PlannedSlot, PlannedWeek } from '@young-oak/core/plan'
import { soreAnswers, workedAnswers, type Answers } from '@young-oak/core/progressions'
import {
  readDraft,
  readPublished,
  setPrescriptionShape,
  setStyles,
  type Circuit,
  type Template,
} from '@young-oak/core/template'
import type { LastTime } from '@young-oak/core/evidence'
import { formatIssue } from '@young-oak/core/parsing'
import type { Library, Muscle } from '@young-oak/core/library'
import type { Span, Step } from '@young-oak/core/units'
import type { WarmUpSet } from '@young-oak/core/warmups'
import type { Value, WhyStep } from '@young-oak/core/words'
import type { AnySchema } from 'yup'
import { amount, lift, liftKeys, load, muscle } from './lifts.ts'
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
  yesOrNo,
  type Reads,
} from './reads.ts'

/** A template as the core reads it, whose reader refuses what it does not know. */
const templateBy = (read: typeof readDraft): Reads<Template> =>
  readBy('template of format 1', (value, { library }: { library?: Library }) => {
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
const step = () => exact<Step>({ kg: figure(), lb: figure() })
const today = () =>
  exact<Today>({
    percent: figure(),
    drop: left(step()),
    slot: left(text()),
    prescription: left(text()),
    way: choice('nearest', 'down', 'up'),
  })
const otherGoal = (): Reads<OtherGoal> =>
  readBy('goal', (given) => {
    const key = typeof given === 'object' && given !== null ? keyOf(given) : undefined
    return key ? faultIn(goalOf[key].shape, given) : 'must be a goal'
  })

/** A field of a set group that is shown just as it is written: its own schema is the template's. */
const written = (field: keyof typeof setPrescriptionShape.fields) => {
  const schema = setPrescriptionShape.fields[field] as unknown as AnySchema
  return left(
    schema.meta({ outline: (schema.spec.meta as { expected?: string }).expected ?? schema.type }),
  ) as never
}

export const shownGroup = () =>
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
      amrap: left(choice('last')),
      goal: left(otherGoal()),
      rir: left(count()),
      target: orNull(load()),
      load: orNull(load()),
      ruled: left(load()),
      side: left(list(figure())),
      bar: left(figure()),
      hung: left(list(figure())),
      body: left(load()),
      help: left(isTrue()),
      missing: left(isTrue()),
      need: left(choice('max', 'bodyWeight', 'role')),
      short: left(isTrue()),
      today: left(today()),
      why: list(whyStep()),
    },
    'ShownSets',
  )

const circuit = () =>
  exact<Circuit>({
    name: text(),
    by: choice('time', 'rounds'),
    rounds: left(count()),
    capSeconds: left(count()),
  })
const warmUp = () =>
  exact<WarmUpSet>({
    load: load(),
    reps: count(),
    side: left(list(figure())),
    bar: left(figure()),
    why: list(whyStep()),
  })

const doneKeys = () => ({
  load: left(load()),
  help: left(isTrue()),
  reps: left(count()),
  amount: left(amount()),
  rir: left(count()),
})
export const lastTime = () =>
  exact<LastTime>({ date: date(), sets: list(exact<LastTime['sets'][number]>(doneKeys())) })

const reason = () => choice(...reasons)
const side = () => exact<Side>({ reps: left(count()), load: left(load()), rir: left(count()) })

const setLog = () =>
  exact<SetLog>(
    {
      ...liftKeys(),
      ...doneKeys(),
      id: text(),
      rev: count(),
      change: left(text()),
      void: left(isTrue()),
      slot: text(),
      n: count(),
      state: choice('done', 'failed', 'notDone'),
      assisted: left(count()),
      bands: left(text()),
      style: left(choice(...setStyles)),
      option: left(isTrue()),
      extra: left(isTrue()),
      sides: left(exact<NonNullable<SetLog['sides']>>({ left: left(side()), right: left(side()) })),
      reason: left(reason()),
      start: left(text()),
      partial: left(isTrue()),
      pain: left(isTrue()),
      technique: left(choice('good', 'poor')),
    },
    'SetLog',
  )

const shownSlot = () =>
  exact<ShownSlot>({
    ...liftKeys(),
    deload: left(isTrue()),
    circuit: left(circuit()),
    warmUps: left(list(warmUp())),
    sets: list(shownGroup()),
  })
const shown = () =>
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
        toTest: left(count()),
      }),
      slots: byKey(shownSlot()),
    },
    'Shown',
  )

const byMuscle = <T extends string>(...answers: readonly T[]) =>
  byKey(choice(...answers)) as Reads<Partial<Record<Muscle, T>>>
export const entryKeys = () => ({
  id: text(),
  rev: count(),
  change: left(text()),
  replaces: left(text()),
  saw: left(text()),
  void: left(isTrue()),
  date: date(),
})
export const sessionLog = () =>
  exact<SessionLog>(
    {
      ...entryKeys(),
      enrolment: text(),
      position: count(),
      attempt: count(),
      ordinal: count(),
      at: left(
        exact<PlaceName>({
          phase: text(),
          week: count(),
          day: count(),
          deload: left(exact<NonNullable<PlaceName['deload']>>({ fact: text(), week: count() })),
        }),
      ),
      minute: left(count()),
      location: left(text()),
      batch: left(text()),
      starts: left(
        list(
          exact<Start>({
            change: text(),
            date: date(),
            minute: count(),
            location: left(text()),
            shown: left(shown()),
          }),
        ),
      ),
      instead: left(
        list(
          exact<Instead>({
            ...liftKeys(),
            slot: text(),
            reason: reason(),
            offered: left(load()),
            why: left(list(whyStep())),
          }),
        ),
      ),
      skipped: left(list(exact<Skipped>({ slot: text(), reason: reason() }))),
      closed: yesOrNo(),
      shown: left(shown()),
      sets: list(setLog()),
      answers: left(
        exact<Answers & { rev?: number; change?: string }>({
          hard: left(count()),
          minutes: left(count()),
          worked: left(byMuscle(...workedAnswers)),
          sore: left(byMuscle(...soreAnswers)),
          rev: left(count()),
          change: left(text()),
        }),
      ),
    },
    'SessionLog',
  )

export const enrolment = () =>
  exact<Enrolment>(
    {
      id: text(),
      clock: left(choice('own', 'calendar')),
      segments: list(
        exact<Segment>({
          from: date(),
          version: text(),
          track: left(text()),
          begins: left(choice('week', 'session')),
        }),
      ),
    },
    'Enrolment',
  )

const need = (): Reads<Need> =>
  exact<{ need: Need['need']; lift: Need['lift']; role?: string }>({
    need: choice('max', 'bodyWeight', 'role'),
    lift: lift(),
    role: left(text()),
  }) as Reads<Need>
const verdict = () => choice('hit', 'miss', 'skip', 'deload', 'not comparable')

const plannedSlot = () =>
  exact<PlannedSlot>(
    {
      ...liftKeys(),
      slot: text(),
      letter: text(),
      note: left(text()),
      deload: yesOrNo(),
      circuit: left(circuit()),
      warmUps: left(list(warmUp())),
      sets: list(shownGroup()),
      withoutDeload: left(list(shownGroup())),
      needs: list(need()),
      last: left(lastTime()),
      verdict: left(verdict()),
      supposed: left(verdict()),
      done: left(list(setLog())),
    },
    'PlannedSlot',
  )
const plannedSession = () =>
  exact<PlannedSession>(
    {
      position: count(),
      attempt: count(),
      inWeek: count(),
      session: text(),
      name: text(),
      status: choice('trained', 'skipped', 'dropped', 'open', 'next', 'ahead'),
      date: left(date()),
      log: left(text()),
      slots: list(plannedSlot()),
      changes: list(exact<PlannedSession['changes'][number]>({ slot: text(), step: whyStep() })),
    },
    'PlannedSession',
  )
const plannedWeek = () =>
  exact<PlannedWeek>(
    {
      week: count(),
      version: text(),
      phase: text(),
      phaseName: text(),
      phaseWeek: count(),
      deload: yesOrNo(),
      from: left(date()),
      toTest: left(count()),
      places: list(plannedSession()),
    },
    'PlannedWeek',
  )
export const plan = () =>
  exact<Plan>(
    {
      enrolment: text(),
      version: text(),
      track: orNull(text()),
      start: date(),
      weeks: list(plannedWeek()),
      next: orNull(count()),
      lastWeek: count(),
    },
    'Plan',
  )

export { muscle }
