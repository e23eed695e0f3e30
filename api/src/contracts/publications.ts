import type { FindingSaid } from '@young-oak/core/checks'
import type { Differing, Impact, Jump } from '@young-oak/core/impact'
import {
  impactKinds,
  lookedSchema,
  othersBecome,
  publicationStates,
  publishSchema,
  type ImpactLine,
  type ImpactView,
  type PublicationLine,
  type PublicationView,
  type PublishedTo,
} from '../publications.ts'
import { lift } from './lifts.ts'
import { contract, paged, pageOf } from './contract.ts'
import { choice, count, date, exact, list, orNull, text, yesOrNo } from './reads.ts'

const line = {
  id: text(),
  template: text(),
  version: count(),
  note: text(),
  state: choice(...publicationStates),
  madeBy: text(),
  madeAt: text(),
  start: date(),
  endedOn: orNull(date()),
  endedBy: orNull(text()),
  others: choice(...othersBecome),
  members: count(),
  isTheirs: yesOrNo(),
}
const publication = () =>
  exact<PublicationView>({ ...line, filled: count(), started: count(), late: count() }, 'Publication')

const differing = () =>
  exact<Differing>({
    week: count(),
    day: count(),
    session: text(),
    lift: lift(),
    before: orNull(text()),
    after: orNull(text()),
  })
const impact = () =>
  exact<Impact>(
    {
      is: choice('starts', 'moves', 'same', 'done'),
      lines: list(differing()),
      changed: count(),
      jump: orNull(exact<Jump>({ lift: lift(), from: text(), to: text(), percent: count() })),
      needs: list(lift()),
      short: list(lift()),
      longer: orNull(
        exact<NonNullable<Impact['longer']>>({ session: text(), before: count(), after: count() }),
      ),
      isMidWeek: yesOrNo(),
      isDeload: yesOrNo(),
      isPaused: yesOrNo(),
      keepsTrack: yesOrNo(),
      beside: list(text()),
      ends: list(text()),
      follows: list(text()),
      findings: list(exact<FindingSaid>({ where: text(), what: text(), next: text() })),
    },
    'Impact',
  )
const look = () =>
  exact<ImpactView>(
    {
      id: text(),
      state: choice('running', 'done', 'cancelled', 'failed'),
      revision: count(),
      hasMoved: yesOrNo(),
      members: count(),
      looked: count(),
      kinds: list(exact<ImpactView['kinds'][number]>({ kind: choice(...impactKinds), members: count() })),
    },
    'Look',
  )

export const publications = {
  ...contract({
    method: 'post',
    path: '/templates/:id/looks',
    says: 'Begins to work out what publishing would do to each member in the next two weeks. Nothing is published.',
    who: ['writer'],
    body: publishSchema,
    answer: look(),
    problems: ['noSuchTrack', 'notPossible', 'templateFaults', 'draftMoved'],
  }),
  ...contract({
    method: 'get',
    path: '/looks/:id',
    says: 'How far a look has come, and how many members are of each kind; kept for a day.',
    who: ['writer'],
    answer: look(),
    problems: [],
  }),
  ...contract({
    method: 'get',
    path: '/looks/:id/members',
    says: 'The members of one kind, worst first.',
    who: ['writer'],
    query: lookedSchema,
    answer: pageOf(exact<ImpactLine>({ id: text(), name: text(), impact: impact() })),
    problems: [],
  }),
  ...contract({
    method: 'delete',
    path: '/looks/:id',
    says: 'Stops a look.',
    who: ['writer'],
    answer: null,
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/templates/:id/publications',
    says: 'Publishes the draft to members from a day on. Sent again under the same id it is one publication, and answered as it stands.',
    who: ['writer'],
    body: publishSchema,
    answer: publication(),
    problems: ['noSuchTrack', 'startsTooFar', 'templateFaults', 'draftMoved', 'sentBefore', 'notPossible'],
    since: 8,
  }),
  ...contract({
    method: 'get',
    path: '/templates/:id/publications',
    says: 'What was published of a template, the latest first; at most two hundred.',
    who: ['writer'],
    answer: list(exact<PublicationLine>(line)),
    problems: [],
  }),
  ...contract({
    method: 'get',
    path: '/publications/:id',
    says: 'A publication, and how far it has come while it is prepared.',
    who: ['writer'],
    answer: publication(),
    problems: [],
  }),
  ...contract({
    method: 'get',
    path: '/publications/:id/members',
    says: 'Whom a publication reached, by name, and who has started a session under it.',
    who: ['writer'],
    query: paged,
    answer: pageOf(
      exact<PublishedTo>({
        id: text(),
        name: text(),
        start: date(),
        hasStarted: yesOrNo(),
        lateStart: orNull(date()),
      }),
    ),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/publications/:id/withdrawal',
    says: 'Takes a publication back, or calls it off while it is prepared. It counts on for whoever had started under it by that day.',
    who: ['writer'],
    answer: publication(),
    problems: [],
  }),
}
