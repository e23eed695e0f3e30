import { groupSchema, type GivenGroup } from '@young-oak/api/groups'
import { faultsOf } from '../../app/faultsOf.ts'
import { conditionOf, draftOfCondition, newCondition, type ConditionDraft } from './rule.ts'

/** A group as a form holds it. */
export type GroupDraft = { name: string; by: 'hand' | 'rule'; rule: ConditionDraft[] }

export const draftOf = (group?: GivenGroup): GroupDraft => ({
  name: group?.name ?? '',
  by: group?.rule ? 'rule' : 'hand',
  rule: group?.rule?.map(draftOfCondition) ?? [newCondition()],
})

/** What a form says, as it is sent. */
export const groupOf = ({ name, by, rule }: GroupDraft): GivenGroup => ({
  name: name.trim(),
  rule: by === 'hand' ? null : rule.map(conditionOf),
})

/** What is wrong with a group, by place: `rule[0].days`. */
export const groupFaults = (draft: GroupDraft): Record<string, string> =>
  faultsOf(groupSchema, groupOf(draft))
