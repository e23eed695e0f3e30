import type { Knex } from 'knex'
import type { Condition } from '@young-oak/api/groups'

type Of<K extends Condition['kind']> = Extract<Condition, { kind: K }>
type Asks = { [K in Condition['kind']]: (condition: Of<K>) => { sql: string; values: (string | number)[] } }

const programs = 'select from current_enrolment e where e.gym_id = m.gym_id and e.member_id = m.id'

/** What each condition asks of a member `m` of a gym `g`, today in the gym's zone. */
const asks: Asks = {
  onProgram: ({ template }) => ({ sql: `exists (${programs} and e.template_id = ?)`, values: [template] }),
  onNoProgram: () => ({ sql: `not exists (${programs})`, values: [] }),
  notTrainedFor: ({ days }) => ({
    sql: `not exists (select from session_log l where l.gym_id = m.gym_id and l.member_id = m.id
      and l.date > (now() at time zone g.zone)::date - ?::int
      and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.state = 'done'))`,
    values: [days],
  }),
  daysAWeek: ({ days }) => ({
    sql: `exists (${programs} and exists (select from template t where t.gym_id = e.gym_id and t.id = e.template_id and t.per_week = ?))`,
    values: [days],
  }),
}

/** Narrows a query of members `m`, joined with their gym `g`, to those who fit all conditions. */
export function whereFits(query: Knex.QueryBuilder, rule: Condition[]): void {
  for (const condition of rule) {
    const { sql, values } = asks[condition.kind](condition as never)
    query.whereRaw(sql, values)
  }
}
