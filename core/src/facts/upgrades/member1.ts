import { fieldIn, upgradeEach, upgradeFields, type Issue } from '../../parsing/index.ts'
import { logFrom1 } from '../../member/index.ts'
import { factFrom1 } from './fact1.ts'

/** A member file of format 1 as one of format 2; any other comes back as it is. */
export const upgradeMember = (file: unknown): unknown =>
  fieldIn(file, 'format') === 1
    ? upgradeFields(file, {
        format: () => 2,
        facts: (facts) => upgradeEach(facts, factFrom1),
        logs: (logs) => upgradeEach(logs, logFrom1),
      })
    : file

/** A fault at the place where it stands in the file, whose format may be an earlier one. */
export const asWritten = (issue: Issue, format: unknown): Issue =>
  format === 1
    ? { ...issue, path: issue.path.replace(/^((?:facts|logs)\[\d+\])\.location$/, '$1.place') }
    : issue
