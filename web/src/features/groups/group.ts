import { groupSchema, type GivenGroup } from '@young-oak/api/groups'
import { ValidationError } from 'yup'
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
export function groupFaults(draft: GroupDraft): Record<string, string> {
  try {
    groupSchema.validateSync(groupOf(draft), { strict: true, abortEarly: false })
    return {}
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    const all = error.inner.length ? error.inner : [error]
    return Object.fromEntries(all.map(({ path, message }) => [path ?? 'name', message]))
  }
}
