import type { Member } from '@young-oak/core/facts'
import type { MemberFile, MemberLine, OwnData } from '../members.ts'
import { contract, pagedLong, pageOf } from './contract.ts'
import { fact } from './known.ts'
import { enrolment, sessionLog } from './logs.ts'
import { version } from './shown.ts'
import { byKey, count, date, exact, list, orNull, text, yesOrNo } from './reads.ts'

const file = () =>
  exact<MemberFile>({
    name: text(),
    member: exact<Member>({ facts: list(fact()), logs: list(sessionLog()) }),
    enrolments: list(enrolment()),
    versions: byKey(version()),
    templates: byKey(text()),
  })

export const members = {
  ...contract({
    method: 'get',
    path: '/members',
    says: 'Who trains in the gym, by name, with programs and attendance.',
    who: ['owner', 'writer'],
    query: pagedLong,
    answer: pageOf(
      exact<MemberLine>({
        id: text(),
        name: text(),
        programs: list(text()),
        lastSession: orNull(date()),
        sessionsIn4Weeks: count(),
        isMine: yesOrNo(),
        groups: list(text()),
        writers: list(exact<MemberLine['writers'][number]>({ id: text(), name: text() })),
      }),
    ),
    problems: [],
    since: 7,
  }),
  ...contract({
    method: 'get',
    path: '/members/:id/file',
    says: 'Everything that one of the writer’s members is planned from.',
    who: ['writer'],
    answer: file(),
    problems: [],
    since: 3,
  }),
  ...contract({
    method: 'get',
    path: '/me/data',
    says: 'All that the gym keeps of the member who asks, to be saved as a file.',
    who: ['member'],
    answer: exact<OwnData>({
      gym: text(),
      email: text(),
      writers: list(text()),
      file: file(),
    }),
    problems: [],
  }),
}
