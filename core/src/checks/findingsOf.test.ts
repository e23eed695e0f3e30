import { expect, test } from '@jest/globals'
import { inputOf, planFixture, readFixture } from '../../fixtures/read.ts'
import { findingsOf, toldToMember } from './findingsOf.ts'

test('what only a writer can mend is no member’s to read', () => {
  const fixture = readFixture('supersets-changes-and-muscles-that-do-not-fit')
  const found = findingsOf(inputOf(fixture), planFixture(fixture))
  expect(found).toHaveLength(8)
  expect(toldToMember(found)).toEqual([])
})
