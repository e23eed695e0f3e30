import type { KnownRow, MaxRow } from '@young-oak/core/parsing'
import {
  bodyWeightSchema,
  lackingSchema,
  maxRowsSchema,
  maxSchema,
  type KnownMax,
  type MaxesView,
  type MaxTableLine,
  type ProposedMax,
  type RowsAnswer,
  type UsedBy,
} from '../maxes.ts'
import { contract, onDay, ownAndWriters, pagedOnDay, pageOf } from './contract.ts'
import { formula, lift, liftKeys, load, setSeen, setSeenBy, unit } from './lifts.ts'
import { choice, count, date, either, exact, isTrue, left, list, orNull, text, type Reads } from './reads.ts'

const knownKeys = () => ({ load: load(), date: date(), from: left(setSeenBy(formula())) })
const usedBy = (): Reads<UsedBy> =>
  either<[UsedBy, UsedBy]>(
    exact<{ session: string; slot: string; program: string }>({
      session: text(),
      slot: text(),
      program: text(),
    }),
    exact<{ ratio: string; program: string }>({ ratio: text(), program: text() }),
  )
export const proposal = () =>
  exact<ProposedMax>(
    {
      ...liftKeys(),
      load: load(),
      date: date(),
      from: left(setSeen()),
      how: choice('estimate', 'lower test', 'lower estimate'),
    },
    'Proposal',
  )

const maxesOf = () =>
  exact<MaxesView>(
    {
      unit: unit(),
      maxes: list(
        exact<MaxesView['maxes'][number]>({
          ...liftKeys(),
          ...knownKeys(),
          staleWeeks: left(count()),
          before: list(exact<KnownMax>(knownKeys())),
          usedBy: list(usedBy()),
        }),
      ),
      proposals: list(proposal()),
      needed: list(lift()),
      body: orNull(exact<NonNullable<MaxesView['body']>>({ load: load(), date: date() })),
    },
    'Maxes',
  )

const tableLine = () =>
  exact<MaxTableLine>({
    id: text(),
    name: text(),
    maxes: list(
      exact<MaxTableLine['maxes'][number]>({
        ...liftKeys(),
        load: load(),
        date: date(),
        staleWeeks: left(count()),
      }),
    ),
    known: list(
      exact<KnownRow & Pick<MaxRow, 'rir' | 'formula'>>({
        ...liftKeys(),
        load: load(),
        help: left(isTrue()),
        reps: count(),
        date: date(),
        rir: left(count()),
        formula: formula(),
      }),
    ),
  })

export const maxes = {
  ...ownAndWriters('maxes', {
    method: 'get',
    says: 'Maxes in force, those before them, what uses each, and what is missing.',
    query: onDay,
    answer: maxesOf(),
    problems: [],
  }),
  ...ownAndWriters('maxes', {
    method: 'post',
    says: 'Saves a max.',
    body: maxSchema,
    answer: maxesOf(),
    problems: ['inTheFuture', 'moreHelpThanBody'],
  }),
  ...ownAndWriters('body-weight', {
    method: 'post',
    says: 'Saves the body weight.',
    body: bodyWeightSchema,
    answer: maxesOf(),
    problems: ['inTheFuture'],
  }),
  ...contract({
    method: 'get',
    path: '/maxes',
    says: 'Maxes of the writer’s members, by name.',
    who: ['writer'],
    query: pagedOnDay,
    answer: pageOf(tableLine()),
    problems: [],
    since: 2,
  }),
  ...contract({
    method: 'post',
    path: '/maxes',
    says: 'Maxes of several of the writer’s members: all of them, or none.',
    who: ['writer'],
    body: maxRowsSchema,
    answer: exact<RowsAnswer>({ stored: count(), known: count() }),
    problems: ['inTheFuture', 'moreHelpThanBody'],
  }),
  ...contract({
    method: 'post',
    path: '/maxes/estimates',
    says: 'Accepts what training suggests, for members who have no max of some lifts: how many maxes were stored, and how many members have no estimate of some of these lifts either.',
    who: ['writer'],
    body: lackingSchema,
    answer: exact<{ stored: number; without: number }>({ stored: count(), without: count() }),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/maxes/letters',
    says: 'Writes to members who have no max of some lifts, and asks for it; the same is written once a day.',
    who: ['writer'],
    body: lackingSchema,
    answer: exact<{ asked: number }>({ asked: count() }),
    problems: [],
  }),
}
