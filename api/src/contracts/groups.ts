import { liftLevels, trainingAges } from '@young-oak/core/facts'
import { conditionKinds, fieldsOf, type Condition, type ConditionField } from '../conditions.ts'
import { groupMembersSchema, groupSchema, type GroupLine, type GroupMembers } from '../groups.ts'
import { contract } from './contract.ts'
import { muscle } from './lifts.ts'
import {
  choice,
  count,
  date,
  either,
  exact,
  figure,
  isTrue,
  left,
  list,
  orNull,
  text,
  type Reads,
} from './reads.ts'

const values: { [F in ConditionField]: () => Reads<unknown> } = {
  template: text,
  group: text,
  days: count,
  weeks: count,
  minutes: count,
  times: figure,
  lift: text,
  exercise: text,
  level: () => choice(...liftLevels),
  training: () => choice(...trainingAges),
  location: text,
  muscle,
  day: date,
}
export const condition = () =>
  either(
    ...conditionKinds.map((kind) =>
      exact<Condition>({
        kind: choice(kind),
        not: left(isTrue()),
        ...Object.fromEntries(fieldsOf(kind).map((field) => [field, values[field]()])),
      } as never),
    ),
  ) as Reads<Condition>
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
