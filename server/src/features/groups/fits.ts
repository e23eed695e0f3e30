import type { Knex } from 'knex'
import type { Condition } from '@young-oak/api/groups'

type Of<K extends Condition['kind']> = Extract<Condition, { kind: K }>
type Asked = { sql: string; values: (string | number)[] }
type Asks = { [K in Condition['kind']]: (condition: Of<K>, gym: string) => Asked }

/** Members with programs, of the gym as a whole: the view is read once, not for each member. */
const onPrograms = 'select e.member_id from current_enrolment e where e.gym_id = ?'

/** What each condition asks of a member `m` of a gym `g`, today in the gym's zone. */
const asks: Asks = {
  onProgram: ({ template }, gym) => ({
    sql: `m.id in (${onPrograms} and e.template_id = ?)`,
    values: [gym, template],
  }),
  onNoProgram: (_, gym) => ({ sql: `m.id not in (${onPrograms})`, values: [gym] }),
  notTrainedFor: ({ days }) => ({
    sql: `not exists (select from session_log l where l.gym_id = m.gym_id and l.member_id = m.id
      and l.date > (now() at time zone g.zone)::date - ?::int
      and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.state = 'done'))`,
    values: [days],
  }),
  daysAWeek: ({ days }, gym) => ({
    sql: `m.id in (${onPrograms} and e.template_id in (select id from template where gym_id = ? and per_week = ?))`,
    values: [gym, gym, days],
  }),
}

/** Narrows a query of a gym's members `m`, joined with their gym `g`, to those who fit all conditions. */
export function whereFits(query: Knex.QueryBuilder, gym: string, rule: Condition[]): void {
  for (const condition of rule) {
    const { sql, values } = asks[condition.kind](condition as never, gym)
    query.whereRaw(sql, values)
  }
}
