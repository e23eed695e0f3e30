import { setStyles } from '@young-oak/core/template'
import { soreAnswers, workedAnswers, type Answers } from '@young-oak/core/progressions'
import type {
  Enrolment,
  Segment,
  SessionLog,
  SetLog,
  Instead,
  PlaceName,
  Side,
  Skipped,
  Start,
} from '@young-oak/core/member'
import type { Muscle } from '@young-oak/core/library'
import { liftKeys, load } from './lifts.ts'
import { doneKeys, whyStep, reason, shown } from './shown.ts'
import {
  exact,
  byKey,
  choice,
  count,
  date,
  isTrue,
  left,
  list,
  orNull,
  text,
  yesOrNo,
  type Reads,
} from './reads.ts'

const side = () => exact<Side>({ reps: left(count()), load: left(load()), rir: left(count()) })

export const setLog = () =>
  exact<SetLog>(
    {
      ...liftKeys(),
      ...doneKeys(),
      id: text(),
      rev: count(),
      change: left(text()),
      void: left(isTrue()),
      slot: text(),
      asAsked: left(isTrue()),
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

const byMuscle = <T extends string>(...answers: readonly T[]) =>
  byKey(choice(...answers)) as Reads<Partial<Record<Muscle, T>>>
export const entryKeys = () => ({
  id: text(),
  rev: count(),
  change: left(text()),
  replaces: left(text()),
  saw: left(text()),
  void: left(isTrue()),
  waits: left(isTrue()),
  date: date(),
})
export const sessionLog = () =>
  exact<SessionLog>(
    {
      ...entryKeys(),
      enrolment: orNull(text()),
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
      after: left(text()),
      carries: left(text()),
      segments: list(
        exact<Segment>({
          from: date(),
          version: text(),
          track: left(text()),
          begins: left(choice('week', 'session')),
        }),
      ),
      to: left(date()),
    },
    'Enrolment',
  )
