import { answerOrder, type Advice } from '@young-oak/core/advice'
import { eventKinds, deloadReasons, endReasons, type CheckIn } from '@young-oak/core/facts'
import { deloadKinds } from '@young-oak/core/deloads'
import type { Offer } from '@young-oak/core/plan'
import type {
  Block,
  LoadWeek,
  MaxKnown,
  Seen,
  Target,
  TotalTarget,
  TrialResult,
} from '@young-oak/core/trends'
import { deloadPolicies } from '@young-oak/core/template'
import {
  factForManySchema,
  givenFactSchema,
  takenBackSchema,
  type EntriesOfMany,
  type ProgressView,
} from '../progress.ts'
import { contract, onDay, ownAndWriters } from './contract.ts'
import {
  about,
  adviceTaken,
  blockKeys,
  mostSets,
  pause,
  checkInKeys,
  days,
  decision,
  liftGoal,
  totalGoal,
  newVersion,
  profileKeys,
} from './known.ts'
import { lift, load, muscle, unit } from './lifts.ts'
import { whyStep } from './shown.ts'
import {
  choice,
  count,
  date,
  exact,
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

const band = () => exact<NonNullable<Target['projected']>>({ value: figure(), low: figure(), high: figure() })
const block = () => exact<Block>({ ...blockKeys(), name: text(), ends: date() })
const params = (): Reads<object> =>
  readBy('parameters of the recipe', (value) =>
    typeof value === 'object' && value !== null ? null : 'must be parameters',
  )
const advice = () =>
  exact<Advice>(
    {
      answer: choice(...answerOrder),
      evidence: list(whyStep()),
      sure: choice('likely', 'possible', 'weak'),
      suggest: left(
        exact<NonNullable<Advice['suggest']>>({
          recipe: choice(...deloadKinds),
          params: params(),
          muscles: left(list(muscle())),
        }),
      ),
    },
    'Advice',
  )
const offer = () =>
  exact<Offer>({
    enrolment: text(),
    progression: text(),
    stage: text(),
    lift: lift(),
    say: text(),
    next: text(),
  })
const standing = () => ({
  block: left(block()),
  now: orNull(figure()),
  gainPercent: orNull(figure()),
  needsPerWeek: orNull(figure()),
  ownPerWeek: orNull(
    exact<NonNullable<Target['ownPerWeek']>>({ value: figure(), error: figure(), weeks: figure() }),
  ),
  projected: orNull(band()),
  verdict: choice(
    'already there',
    'reached',
    'missed',
    'on course',
    'within reach',
    'out of reach',
    'cannot tell',
  ),
})
const target = () => exact<Target>({ goal: liftGoal(), ...standing() }, 'Target')
const measures = () =>
  exact<TrialResult['first']>({
    sessions: count(),
    hitPercent: orNull(figure()),
    hardness: orNull(figure()),
    gains: list(
      orNull(
        exact<NonNullable<TrialResult['first']['gains'][number]>>({
          value: figure(),
          error: figure(),
          count: count(),
        }),
      ),
    ),
  })
const trialResult = () =>
  exact<TrialResult>(
    {
      lifts: list(lift()),
      first: measures(),
      second: measures(),
      differences: list(orNull(band())),
      better: choice('first', 'second', 'cannot tell'),
      say: text(),
    },
    'TrialResult',
  )

const view = () =>
  exact<ProgressView>(
    {
      unit: unit(),
      programs: list(
        exact<ProgressView['programs'][number]>({
          enrolment: text(),
          name: text(),
          policy: choice(...deloadPolicies),
          advice: advice(),
          phase: left(text()),
          track: orNull(text()),
          tracks: list(exact<{ id: string; name: string }>({ id: text(), name: text() })),
          choosesTrack: yesOrNo(),
          choices: list(
            exact<ProgressView['programs'][number]['choices'][number]>({
              slot: text(),
              session: text(),
              of: list(lift()),
              chosen: lift(),
            }),
          ),
          paused: left(pause()),
          changed: left(newVersion()),
        }),
      ),
      following: list(
        exact<ProgressView['following'][number]>({ enrolment: text(), name: text(), after: text() }),
      ),
      offers: list(offer()),
      lifts: list(
        exact<ProgressView['lifts'][number]>({
          lift: lift(),
          seen: list(exact<Seen>({ date: date(), value: figure(), atLeast: left(isTrue()) })),
          targets: list(target()),
          max: left(exact<MaxKnown>({ load: load(), date: date() })),
        }),
      ),
      totals: list(exact<TotalTarget>({ goal: totalGoal(), ...standing() })),
      load: list(
        exact<LoadWeek>({
          from: date(),
          days: list(count()),
          load: count(),
          monotony: orNull(figure()),
          strain: orNull(count()),
          sessions: count(),
          unrated: count(),
        }),
      ),
      blocks: list(block()),
      misfits: list(text()),
      trials: list(
        exact<ProgressView['trials'][number]>({
          id: text(),
          name: text(),
          differs: text(),
          first: days(),
          second: days(),
          result: trialResult(),
          decision: left(decision()),
        }),
      ),
      checkIn: orNull(exact<CheckIn & { date: string }>({ ...checkInKeys(), date: date() })),
      about: about(),
      profile: exact<ProgressView['profile']>(profileKeys()),
      events: list(
        exact<ProgressView['events'][number]>({
          id: text(),
          what: choice(...eventKinds),
          name: left(text()),
          on: date(),
          to: left(date()),
          lifts: left(list(lift())),
        }),
      ),
      spells: list(
        exact<ProgressView['spells'][number]>({
          begun: yesOrNo(),
          id: text(),
          from: date(),
          weeks: count(),
          back: list(figure()),
          reason: left(choice(...deloadReasons)),
          says: text(),
        }),
      ),
      endings: list(
        exact<ProgressView['endings'][number]>({
          id: text(),
          name: text(),
          on: date(),
          reason: left(choice(...endReasons)),
        }),
      ),
      mostSets: mostSets(),
      taken: adviceTaken(),
    },
    'Progress',
  )

export const progress = {
  ...ownAndWriters('progress', {
    method: 'get',
    says: 'The progress of a member: advice, offers, lifts with goals, comparisons, and answers.',
    query: onDay,
    answer: view(),
    problems: [],
    since: 9,
  }),
  ...contract({
    method: 'post',
    path: '/facts',
    says: 'Saves the same fact for several of the writer’s members, all of them or none: a pause of all programs, an event, a deload; with `template`, a pause, an end or a track of the run that each is on. Answers what was saved, by which it is taken back.',
    who: ['writer'],
    body: factForManySchema,
    answer: exact<EntriesOfMany>({
      rows: list(exact<EntriesOfMany['rows'][number]>({ member: text(), id: text() })),
    }),
    problems: ['notPossible'],
    since: 9,
  }),
  ...contract({
    method: 'post',
    path: '/facts/taken-back',
    says: 'Takes back facts of several of the writer’s members, all of them or none.',
    who: ['writer'],
    body: takenBackSchema,
    answer: null,
    problems: [],
  }),
  ...ownAndWriters('facts', {
    method: 'post',
    says: 'Saves a fact: a check-in, an event, a deload, a goal, a comparison, an answer to advice.',
    body: givenFactSchema,
    answer: view(),
    problems: ['notPossible'],
    since: 5,
  }),
  ...ownAndWriters('facts/:fact', {
    method: 'delete',
    says: 'Withdraws a fact.',
    query: onDay,
    answer: view(),
    problems: [],
    since: 5,
  }),
}
