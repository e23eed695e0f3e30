import { auditedNames, auditSchema, ownAuditSchema, type AuditLine } from '../audit.ts'
import { contract, pageOf } from './contract.ts'
import { choice, count, exact, orNull, text } from './reads.ts'

const line = () =>
  exact<AuditLine>({
    id: text(),
    at: text(),
    who: text(),
    what: choice(...auditedNames),
    member: orNull(text()),
    about: orNull(text()),
    count: orNull(count()),
  })

export const audit = {
  ...contract({
    method: 'get',
    path: '/audit',
    says: 'Who of the staff looked at what of whom, or changed it, the latest first.',
    who: ['owner'],
    query: auditSchema,
    answer: pageOf(line()),
    problems: [],
  }),
  ...contract({
    method: 'get',
    path: '/me/audit',
    says: 'Who of the staff looked at the member’s data, or changed them, the latest first.',
    who: ['member'],
    query: ownAuditSchema,
    answer: pageOf(line()),
    problems: [],
  }),
}
