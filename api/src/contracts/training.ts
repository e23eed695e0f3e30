import { object } from 'yup'
import type { FindingSaid } from '@young-oak/core/checks'
import {
  operationsSchema,
  locationId,
  refusalCodes,
  sinceSchema,
  type ChangesView,
  type OperationAnswer,
  type Refusal,
  type TodayView,
} from '../training.ts'
import { contract, onDay } from './contract.ts'
import { evidence, fact, newVersion } from './known.ts'
import { proposal } from './maxes.ts'
import { enrolment, sessionLog } from './logs.ts'
import { plan } from './plans.ts'
import { choice, count, date, either, exact, left, list, text, type Reads } from './reads.ts'

const answer = (): Reads<OperationAnswer> =>
  either<[OperationAnswer, OperationAnswer, OperationAnswer]>(
    exact<{ id: string; result: 'stored' | 'already had' }>({
      id: text(),
      result: choice('stored', 'already had'),
    }),
    exact<{ id: string; result: 'conflict'; kept: string }>({
      id: text(),
      result: choice('conflict'),
      kept: text(),
    }),
    exact<Refusal>({
      id: text(),
      result: choice('refused'),
      code: choice(...refusalCodes),
      reason: text(),
      errors: left(list(exact<NonNullable<Refusal['errors']>[number]>({ path: text(), message: text() }))),
    }),
  )

export const training = {
  ...contract({
    method: 'get',
    path: '/me/today',
    says: 'The screen of a member: this week’s plans, open sessions, findings, and what is known.',
    who: ['member'],
    query: onDay.concat(object({ location: locationId() })).noUnknown(),
    answer: exact<TodayView>({
      programs: list(
        exact<TodayView['programs'][number]>({
          enrolment: text(),
          name: text(),
          note: left(text()),
          track: left(text()),
          next: left(text()),
          changed: left(newVersion()),
          plan: plan(),
        }),
      ),
      enrolments: list(enrolment()),
      logs: list(sessionLog()),
      evidence: evidence(),
      findings: list(exact<FindingSaid>({ where: text(), what: text(), next: text() })),
      proposals: list(proposal()),
      unconfirmed: list(
        exact<TodayView['unconfirmed'][number]>({ session: text(), name: text(), date: date() }),
      ),
      locations: list(exact<TodayView['locations'][number]>({ id: text(), name: text() })),
    }),
    problems: [],
    since: 5,
  }),
  ...contract({
    method: 'get',
    path: '/me/changes',
    says: 'What was written for the member after a revision, by themselves on any phone or by their writer.',
    who: ['member'],
    query: sinceSchema,
    answer: exact<ChangesView>({
      revision: count(),
      gymRevision: count(),
      facts: list(fact()),
      sessions: list(sessionLog()),
      enrolments: list(enrolment()),
      locations: list(exact<ChangesView['locations'][number]>({ id: text(), name: text() })),
    }),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/me/operations',
    says: 'What was done on a phone, in order; each operation is stored or refused by itself, and may be sent again.',
    who: ['member'],
    body: operationsSchema,
    answer: exact<{ answers: OperationAnswer[] }>({ answers: list(answer()) }),
    problems: [],
    bringsExercises: true,
  }),
}
