import {
  conditionKinds,
  groupMembersSchema,
  groupSchema,
  type Condition,
  type GroupLine,
  type GroupMembers,
} from '../groups.ts'
import { contract } from './contract.ts'
import { choice, count, either, exact, list, orNull, text } from './reads.ts'

const condition = () =>
  either(
    exact<Extract<Condition, { kind: 'onProgram' }>>({ kind: choice('onProgram'), template: text() }),
    exact<Extract<Condition, { kind: 'onNoProgram' }>>({ kind: choice('onNoProgram') }),
    exact<Extract<Condition, { kind: 'notTrainedFor' }>>({ kind: choice('notTrainedFor'), days: count() }),
    exact<Extract<Condition, { kind: 'daysAWeek' }>>({ kind: choice('daysAWeek'), days: count() }),
  )
const group = () => exact<GroupLine>({ id: text(), name: text(), rule: orNull(list(condition())) }, 'Group')
const said = `A rule is a list of conditions that all have to hold: ${conditionKinds.join(', ')}.`

export const groups = {
  ...contract({
    method: 'get',
    path: '/groups',
    says: 'The gym’s groups by name.',
    who: ['writer'],
    answer: list(group()),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/groups',
    says: `Makes a group, by hand or by a rule. ${said}`,
    who: ['writer'],
    body: groupSchema,
    answer: group(),
    problems: ['nameTaken'],
  }),
  ...contract({
    method: 'post',
    path: '/groups/:id',
    says: 'Gives a group another name or rule. Members by hand stay, also while it has a rule.',
    who: ['writer'],
    body: groupSchema,
    answer: group(),
    problems: ['nameTaken'],
  }),
  ...contract({
    method: 'delete',
    path: '/groups/:id',
    says: 'Deletes a group. What was published to its members stays.',
    who: ['writer'],
    answer: null,
    problems: [],
  }),
  ...contract({
    method: 'get',
    path: '/groups/:id/members',
    says: 'The asker’s own members who are in a group today, and how many others are.',
    who: ['writer'],
    answer: exact<GroupMembers>({ members: list(text()), others: count() }),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/groups/:id/members',
    says: 'Puts the asker’s own members into a group by hand, or takes them out.',
    who: ['writer'],
    body: groupMembersSchema,
    answer: exact<GroupMembers>({ members: list(text()), others: count() }),
    problems: ['notPossible'],
  }),
}
