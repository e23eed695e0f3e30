import type { Knex } from 'knex'
import type { Condition, ConditionKind, ConditionOf } from '@young-oak/api/conditions'

type Asked = { sql: string; values: (string | number)[] }
type Asks = { [K in ConditionKind]: (condition: ConditionOf<K>, gym: string) => Asked }

/** Members with programs, of the gym as a whole: the view is read once, not for each member. */
const onPrograms = 'select e.member_id from current_enrolment e where e.gym_id = ?'

/** Members with a trait, of the gym as a whole. */
const withTrait = (where: string) =>
  `m.id in (select t.member_id from member_trait t where t.gym_id = ? and t.name = ? and ${where})`
const says = (name: string, word: string, gym: string): Asked => ({
  sql: withTrait('? = any(t.says)'),
  values: [gym, name, word],
})

/** What each condition asks of a member `m` of a gym `g`, today in the gym's zone. */
const asks: Asks = {
  onProgram: ({ template }, gym) => ({
    sql: `m.id in (${onPrograms} and e.template_id = ?)`,
    values: [gym, template],
  }),
  onNoProgram: (_, gym) => ({ sql: `m.id not in (${onPrograms})`, values: [gym] }),
  paused: (_, gym) => ({
    sql: `exists (select from member_trait t where t.gym_id = ? and t.member_id = m.id and t.name like 'paused:%'
      and t.says[1]::date <= (now() at time zone g.zone)::date
      and (t.says[2] is null or t.says[2]::date > (now() at time zone g.zone)::date))`,
    values: [gym],
  }),
  inGroup: ({ group }, gym) => ({
    sql: 'm.id in (select o.member_id from group_member o where o.gym_id = ? and o.group_id = ?)',
    values: [gym, group],
  }),
  notTrainedFor: ({ days }) => ({
    sql: `not exists (select from session_log l where l.gym_id = m.gym_id and l.member_id = m.id
      and l.date > (now() at time zone g.zone)::date - ?::int
      and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.state = 'done'))`,
    values: [days],
  }),
  weeksTrained: ({ weeks }) => ({
    sql: `(select count(distinct date_trunc('week', l.date)) from session_log l where l.gym_id = m.gym_id and l.member_id = m.id
      and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.state = 'done')) >= ?`,
    values: [weeks],
  }),
  daysAWeek: ({ days }, gym) => ({
    sql: `m.id in (${onPrograms} and e.template_id in (select id from template where gym_id = ? and per_week = ?))`,
    values: [gym, gym, days],
  }),
  daysAvailable: ({ days }, gym) => ({ sql: withTrait('t.amount >= ?'), values: [gym, 'days', days] }),
  minutesAtMost: ({ minutes }, gym) => ({
    sql: withTrait('t.amount <= ?'),
    values: [gym, 'minutes', minutes],
  }),
  training: ({ training }, gym) => says('training', training, gym),
  level: ({ lift, level }, gym) => says(`level:${lift}`, level, gym),
  hasMax: ({ lift }, gym) => ({ sql: withTrait('true'), values: [gym, `max:${lift}`] }),
  maxAtLeast: ({ lift, times }, gym) => ({
    sql: withTrait(`t.amount >= ? * (select b.amount from member_trait b
      where b.gym_id = t.gym_id and b.member_id = t.member_id and b.name = 'bodyWeight')`),
    values: [gym, `max:${lift}`, times],
  }),
  priority: ({ muscle }, gym) => says('priority', muscle, gym),
  enjoys: ({ exercise }, gym) => says('enjoys', exercise, gym),
  location: ({ location }, gym) => says('location', location, gym),
  joinedSince: ({ day }) => ({ sql: '(m.joined_at at time zone g.zone)::date >= ?::date', values: [day] }),
}

/** What a rule asks of a member `m`, joined with their gym `g`: all of its conditions. */
export function sqlOf(gym: string, rule: Condition[]): Asked {
  const asked = rule.map((condition) => {
    const { sql, values } = asks[condition.kind](condition as never, gym)
    return { sql: condition.not ? `not (${sql})` : sql, values }
  })
  return {
    sql: asked.map(({ sql }) => `(${sql})`).join(' and ') || 'true',
    values: asked.flatMap(({ values }) => values),
  }
}

/** Narrows a query of a gym's members `m`, joined with their gym `g`, to those who fit all conditions. */
export function whereFits(query: Knex.QueryBuilder, gym: string, rule: Condition[]): void {
  const { sql, values } = sqlOf(gym, rule)
  query.whereRaw(sql, values)
}
