import { expect, test } from '@jest/globals'
import { auditedNames, type AuditLine } from '@young-oak/api/audit'
import { sayAudit } from './sayAudit.ts'

const line: AuditLine = {
  id: '1',
  at: '2026-03-02T09:00:00Z',
  who: 'Will',
  what: 'get /members/:id/progress',
  member: 'Mel',
  about: null,
  count: null,
}

test('what was done is said of whom, and to the member as their own', () => {
  expect(sayAudit(line, false)).toBe('Will opened the progress and profile of Mel')
  expect(sayAudit(line, true)).toBe('Will opened the progress and profile')
  expect(sayAudit({ ...line, what: 'get /members', member: null, count: 202 }, false)).toBe(
    'Will opened the members list (202 lines)',
  )
  expect(sayAudit({ ...line, what: 'post /invitations', member: null, count: 1 }, false)).toBe(
    'Will invited people (1 person)',
  )
  expect(sayAudit({ ...line, what: 'post /staff/:id/leave', member: null, about: 'Wanda' }, false)).toBe(
    'Will ended a seat of the staff: Wanda',
  )
})

test.each(auditedNames)('%s has words', (what) => {
  expect(sayAudit({ ...line, what }, false)).toMatch(/^Will [a-z]+/)
})
