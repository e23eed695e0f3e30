import type { MemberLine } from '@young-oak/api/members'
import type { Scope } from '../../database/scope.ts'
import { forbidden, notFound } from '../../http/problem.ts'
import { route, type Route } from '../../http/route.ts'
import { readMemberFile } from '../training/memberFile.ts'

/** Staff see who is here and how often; training data open to the assigned writer alone. */
export const memberRoutes: Route[] = [
  route({
    method: 'get',
    path: '/members',
    who: ['owner', 'writer'],
    run: ({ inScope, seat }) => inScope((scope) => listMembers(scope, seat.id)),
  }),
  route({
    method: 'get',
    path: '/members/:id/file',
    who: ['writer'],
    run: ({ inScope, seat, params }) =>
      inScope(async (scope) => {
        const member = await scope.db('member').where({ id: params.id }).first('writer_id')
        if (!member) throw notFound('member')
        if (member.writer_id !== seat.id) throw forbidden()
        return (await readMemberFile(scope, params.id as string)).file
      }),
  }),
]

/** Members with their programs and attendance; days are counted in the gym's zone. */
async function listMembers({ db }: Scope, staff: string): Promise<MemberLine[]> {
  const { rows } = await db.raw(
    `select m.id, m.name, m.writer_id is not distinct from ? as "isMine",
       coalesce((select array_agg(t.draft->>'name' order by t.draft->>'name')
         from enrolment e join template t on t.gym_id = e.gym_id and t.id = e.template_id
         where e.gym_id = m.gym_id and e.member_id = m.id), '{}') as programs,
       max(l.date) as "lastSession",
       count(l.id) filter (where l.date > (now() at time zone g.zone)::date - 28)::int as "sessionsIn28Days"
     from member m join gym g on g.id = m.gym_id
     left join session_log l on l.gym_id = m.gym_id and l.member_id = m.id
       and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.body->>'state' = 'done')
     group by m.gym_id, m.id, m.name, m.writer_id, g.zone order by m.name`,
    [staff],
  )
  return rows
}
