import type { Condition, GivenGroup } from '@young-oak/api/groups'
import type { Option } from '../../ui/Select.tsx'

/** A group as a form holds it: each condition with every field that some kind has. */
export type GroupDraft = {
  name: string
  by: 'hand' | 'rule'
  rule: { kind: Condition['kind']; template: string; days: string }[]
}

export const conditionTitles: readonly Option<Condition['kind']>[] = [
  ['onProgram', 'is on the program'],
  ['onNoProgram', 'is on no program'],
  ['notTrainedFor', 'has not trained for this many days'],
  ['daysAWeek', 'is on a program with this many days a week'],
]

export const newCondition = (): GroupDraft['rule'][number] => ({
  kind: 'notTrainedFor',
  template: '',
  days: '14',
})

export const draftOf = (group?: GivenGroup): GroupDraft => ({
  name: group?.name ?? '',
  by: group?.rule ? 'rule' : 'hand',
  rule: group?.rule?.map((one) => ({
    kind: one.kind,
    template: 'template' in one ? one.template : '',
    days: 'days' in one ? String(one.days) : '',
  })) ?? [newCondition()],
})

const conditionOf: Record<Condition['kind'], (draft: GroupDraft['rule'][number]) => object> = {
  onProgram: ({ template }) => ({ template }),
  onNoProgram: () => ({}),
  notTrainedFor: ({ days }) => ({ days: Number(days || NaN) }),
  daysAWeek: ({ days }) => ({ days: Number(days || NaN) }),
}

/** What a form says, as it is sent. */
export const groupOf = ({ name, by, rule }: GroupDraft): GivenGroup => ({
  name: name.trim(),
  rule:
    by === 'hand'
      ? null
      : rule.map((one) => ({ kind: one.kind, ...conditionOf[one.kind](one) }) as Condition),
})

/** A rule in words; `programs` are the names of templates by id. */
export function sayRule(rule: Condition[], programs: Record<string, string>): string {
  const say: { [K in Condition['kind']]: (one: Extract<Condition, { kind: K }>) => string } = {
    onProgram: ({ template }) => `on ${programs[template] ?? 'a program that is no longer here'}`,
    onNoProgram: () => 'on no program',
    notTrainedFor: ({ days }) => `not trained for ${days === 1 ? '1 day' : `${days} days`}`,
    daysAWeek: ({ days }) => `on a program with ${days === 1 ? '1 day' : `${days} days`} a week`,
  }
  return rule.map((one) => say[one.kind](one as never)).join(', ')
}
