import { Problem } from '../../http/problem.ts'
import { route, type Route } from '../../http/route.ts'
import { signIn } from '../accounts/signIn.ts'
import { endMembers, listFormer, takeBackMembers } from '../members/membership.ts'
import { accept, ask, look } from './join.ts'
import { answer, invite, invites, leave, needWriter, renewLink, withdraw } from './service.ts'
import { assign, insertStaff, listInvitations, listRequests, listStaff, unassign } from './store.ts'

/** Who works here, who trains with whom, and how people come in. */
export const peopleRoutes: Route[] = [
  route('get /staff', ({ inScope, seat }) => inScope((scope) => listStaff(scope, seat.id))),
  route('post /staff/writer', ({ inScope, seat, request }) =>
    inScope(async (scope) => {
      const account = request.session.account as string
      if (!(await insertStaff(scope, { account, name: seat.name, role: 'writer' })))
        throw new Problem('alreadyHere', 'You are a writer here already.')
      return listStaff(scope, seat.id)
    }),
  ),
  route('post /staff/:id/leave', ({ inScope, seat, params, body }) =>
    inScope(async (scope) => {
      await leave(scope, params.id as string, body.handTo)
      return listStaff(scope, seat.id)
    }),
  ),
  route('post /assignments', ({ inScope, body: { members, writer, isAssigned } }) =>
    inScope(async (scope) => {
      await needWriter(scope, writer)
      await (isAssigned ? assign : unassign)(scope, members, writer)
    }),
  ),
  route('post /memberships', ({ inScope, body: { members, isOver } }) =>
    inScope((scope) => (isOver ? endMembers : takeBackMembers)(scope, members)),
  ),
  route('get /former-members', ({ inScope, query }) => inScope((scope) => listFormer(scope, query.after))),
  route('get /join-requests', ({ inScope }) => inScope(listRequests)),
  route('post /join-requests/:id', ({ inScope, seat, params, body }) =>
    inScope((scope) => answer(scope, seat, params.id as string, body)),
  ),
  route('get /invitations', ({ inScope, seat, query }) =>
    inScope((scope) => listInvitations(scope, invites(seat), query.after)),
  ),
  route('post /invitations', ({ inScope, seat, body, settings }) =>
    inScope((scope) => invite(scope, seat, body, settings.publicUrl)),
  ),
  route('post /invitations/:id/link', ({ inScope, seat, params, settings }) =>
    inScope((scope) => renewLink(scope, seat, params.id as string, settings.publicUrl)),
  ),
  route('delete /invitations/:id', ({ inScope, seat, params }) =>
    inScope((scope) => withdraw(scope, seat, params.id as string)),
  ),
  route('post /join', ({ database, request, body }) => look(database, body.token, request.session.account)),
  route('post /join/accept', async (call) => {
    const { account, seat } = await accept(call.database, call.body, call.request.session.account)
    return signIn(call, account, seat)
  }),
  route('post /join/ask', ({ database, request, body }) => ask(database, body, request.session.account)),
]
