import type { GivenGroup, GroupLine, GroupMembers } from '@young-oak/api/groups'
import type { Scope } from '../../database/scope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import { route, type Route } from '../../http/route.ts'
import type { Seat } from '../../http/seat.ts'
import { memberScopes } from '../members/memberScope.ts'
import {
  deleteGroup,
  findGroup,
  insertGroup,
  isTaken,
  listGroups,
  membersOf,
  putIn,
  saveGroup,
  takeOut,
} from './store.ts'

/** Groups are the gym's; who of them is shown are the asker's own members, and the others are counted. */
export const groupRoutes: Route[] = [
  route('get /groups', ({ inScope }) => inScope(listGroups)),
  route('post /groups', ({ inScope, body }) =>
    inScope(async (scope) => {
      await needName(scope, body.name)
      return needGroup(scope, await insertGroup(scope, body as GivenGroup))
    }),
  ),
  route('post /groups/:id', ({ inScope, body, params }) =>
    inScope(async (scope) => {
      const { id } = await needGroup(scope, params.id as string)
      await needName(scope, body.name, id)
      await saveGroup(scope, id, body as GivenGroup)
      return needGroup(scope, id)
    }),
  ),
  route('delete /groups/:id', ({ inScope, params }) =>
    inScope(async (scope) => {
      if (!(await deleteGroup(scope, params.id as string))) throw notFound('group')
    }),
  ),
  route('get /groups/:id/members', ({ inScope, params, seat }) =>
    inScope(async (scope) => view(scope, await needGroup(scope, params.id as string), seat)),
  ),
  route('post /groups/:id/members', ({ inScope, params, body: { members, isIn }, seat }) =>
    inScope(async (scope) => {
      const group = await needGroup(scope, params.id as string)
      if (group.rule)
        throw new Problem('notPossible', 'The rule of this group says who is in it: change the rule.')
      const own = await memberScopes(scope, seat, { ids: members })
      if (own.length !== new Set(members).size)
        throw new Problem('notAllowed', 'Some of these members are not assigned to you.')
      await (isIn ? putIn : takeOut)(scope, group.id, members)
      return view(scope, group, seat)
    }),
  ),
]

async function needGroup(scope: Scope, id: string): Promise<GroupLine> {
  const group = await findGroup(scope, id)
  if (!group) throw notFound('group')
  return group
}

async function needName(scope: Scope, name: string, by?: string): Promise<void> {
  if (!(await isTaken(scope, name, by))) return
  const message = 'Another group has this name.'
  throw new Problem('nameTaken', message, [{ path: 'name', message }])
}

async function view(scope: Scope, group: GroupLine, seat: Seat): Promise<GroupMembers> {
  const all = await membersOf(scope, group, seat.id)
  const members = all.flatMap(({ id, isOwn }) => (isOwn ? [id] : []))
  return { members, others: all.length - members.length }
}
