import {
  conditionKinds,
  fieldsOf,
  numberFields,
  type Condition,
  type ConditionField,
  type ConditionKind,
  type ConditionOf,
} from '@young-oak/api/conditions'
import { type LiftLevel, type TrainingAge } from '@young-oak/core/facts'
import { liftName, liftOfKey, type Library } from '@young-oak/core/library'
import { formatDay } from '@young-oak/core/units'
import type { Option } from '../../ui/Select.tsx'
import { trainingAgeChoices } from '../progress/trainingAge.ts'

/** A condition as a form holds it: with every field that some kind has, as text. */
export type ConditionDraft = { kind: ConditionKind; not: boolean } & Record<ConditionField, string>

/** What a rule names by id: programs, groups by hand and locations with their names, and the library. */
export type Named = {
  programs: Record<string, string>
  groups: Record<string, string>
  locations: Record<string, string>
  library: Library
}

const titles: Record<ConditionKind, [is: string, isNot: string]> = {
  onProgram: ['is on the program', 'is not on the program'],
  onNoProgram: ['is on no program', 'is on a program'],
  paused: ['has paused', 'has not paused'],
  inGroup: ['is in the group', 'is not in the group'],
  notTrainedFor: ['has not trained for this many days', 'has trained within this many days'],
  weeksTrained: ['has trained in at least this many weeks', 'has trained in fewer weeks than'],
  daysAWeek: ['is on a program with this many days a week', 'is on no program with this many days a week'],
  daysAvailable: [
    'has at least this many training days a week',
    'has fewer training days a week than, or none said',
  ],
  minutesAtMost: ['has at most this many minutes a session', 'has more minutes a session than, or none said'],
  training: ['has trained with weights for', 'has not trained with weights for'],
  level: ['has this level in a lift', 'does not have this level in a lift'],
  hasMax: ['has a max for', 'has no max for'],
  maxAtLeast: [
    'lifts at least this many times body weight',
    'lifts less than this, or has no max or body weight',
  ],
  priority: ['wants to train first', 'does not want to train first'],
  enjoys: ['enjoys', 'does not say that they enjoy'],
  location: ['usually trains at', 'does not usually train at'],
  joinedSince: ['joined on this day or later', 'joined before this day'],
}

/** Every kind as it is and turned round, as one choice. */
export const conditionOptions: readonly Option<string>[] = conditionKinds.flatMap(
  (kind): Option<string>[] => [
    [kind, titles[kind][0]],
    [`not ${kind}`, titles[kind][1]],
  ],
)
export const optionOf = ({ kind, not }: ConditionDraft): string => (not ? `not ${kind}` : kind)
export function withOption(draft: ConditionDraft, option: string): ConditionDraft {
  const not = option.startsWith('not ')
  return { ...draft, not, kind: (not ? option.slice(4) : option) as ConditionKind }
}

export const levelChoices: readonly Option<LiftLevel>[] = [
  ['novice', 'novice'],
  ['intermediate', 'intermediate'],
  ['advanced', 'advanced'],
]

export const newCondition = (): ConditionDraft => ({
  kind: 'notTrainedFor',
  not: false,
  template: '',
  group: '',
  days: '14',
  weeks: '',
  minutes: '',
  times: '',
  lift: '',
  exercise: '',
  level: '',
  training: '',
  location: '',
  muscle: '',
  day: '',
})

export const draftOfCondition = ({ kind, not, ...fields }: Condition): ConditionDraft => ({
  ...newCondition(),
  days: '',
  ...Object.fromEntries(Object.entries(fields).map(([name, value]) => [name, String(value)])),
  kind,
  not: not === true,
})

const valueOf = (field: ConditionField, text: string): string | number =>
  numberFields.includes(field) ? Number(text.trim().replace(',', '.') || NaN) : text

/** What a form says, as it is sent. */
export const conditionOf = (draft: ConditionDraft): Condition =>
  ({
    kind: draft.kind,
    ...(draft.not && { not: true }),
    ...Object.fromEntries(fieldsOf(draft.kind).map((field) => [field, valueOf(field, draft[field])])),
  }) as Condition

const many = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`
const yearsOf = Object.fromEntries(
  trainingAgeChoices.map(([age, said]) => [age, said.toLowerCase()]),
) as Record<TrainingAge, string>

/** A rule in words. */
export function sayRule(rule: Condition[], { programs, groups, locations, library }: Named): string {
  const lift = (key: string) => liftName(library, liftOfKey(key)).toLowerCase()
  const or = (not: true | undefined, is: string, isNot: string) => (not ? isNot : is)
  const say: { [K in ConditionKind]: (one: ConditionOf<K>) => string } = {
    onProgram: ({ template, not }) =>
      `${or(not, 'on', 'not on')} ${programs[template] ?? 'a program that is no longer here'}`,
    onNoProgram: ({ not }) => or(not, 'on no program', 'on a program'),
    paused: ({ not }) => or(not, 'paused', 'not paused'),
    inGroup: ({ group, not }) =>
      `${or(not, 'in', 'not in')} ${groups[group] ?? 'a group that is no longer here'}`,
    notTrainedFor: ({ days, not }) =>
      or(not, `not trained for ${many(days, 'day')}`, `trained within ${many(days, 'day')}`),
    weeksTrained: ({ weeks, not }) =>
      `trained in ${or(not, 'at least', 'fewer than')} ${many(weeks, 'week')}`,
    daysAWeek: ({ days, not }) => `on ${or(not, 'a', 'no')} program with ${many(days, 'day')} a week`,
    daysAvailable: ({ days, not }) => `${or(not, 'at least', 'not')} ${many(days, 'training day')} a week`,
    minutesAtMost: ({ minutes, not }) =>
      `${or(not, 'at most', 'not at most')} ${many(minutes, 'minute')} a session`,
    training: ({ training, not }) => `${or(not, '', 'not ')}trained for ${yearsOf[training]}`,
    level: ({ lift: key, level, not }) => `${or(not, '', 'not ')}${level} in the ${lift(key)}`,
    hasMax: ({ lift: key, not }) => `${or(not, 'a', 'no')} ${lift(key)} max`,
    maxAtLeast: ({ lift: key, times, not }) =>
      `${lift(key)} max ${or(not, 'at least', 'not at least')} ${times} × body weight`,
    priority: ({ muscle, not }) => `${or(not, '', 'not ')}with priority on ${muscle}`,
    enjoys: ({ exercise, not }) => `${or(not, 'enjoys', 'does not say they enjoy')} ${lift(exercise)}`,
    location: ({ location, not }) =>
      `${or(not, 'trains', 'does not train')} at ${locations[location] ?? 'a location that is no longer here'}`,
    joinedSince: ({ day, not }) => `joined ${or(not, 'on or after', 'before')} ${formatDay(day)}`,
  }
  return rule.map((one) => say[one.kind](one as never)).join(', ')
}
