import { audited, type AuditLine } from '@young-oak/api/audit'

/** What somebody did, in a sentence; `isOwn` where the member reads it themselves. */
export function sayAudit({ who, what, member, about, count }: AuditLine, isOwn: boolean): string {
  const { kind, says } = audited[what]
  const of = isOwn || member === null ? '' : ` of ${member}`
  const lines = kind === 'list' ? 'line' : 'person'
  const many =
    count === null ? '' : ` (${count} ${count === 1 ? lines : lines === 'line' ? 'lines' : 'people'})`
  return `${who} ${says}${of}${many}${about === null ? '' : `: ${about}`}`
}

/** When, as whoever reads it has their clock. */
export const sayWhen = (at: string): string =>
  new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
