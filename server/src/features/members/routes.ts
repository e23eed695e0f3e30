import { pageSize } from '@young-oak/api/contracts'
import { route, type Route } from '../../http/route.ts'
import { readMemberFile } from '../training/memberFile.ts'
import { listMembers, readOwn } from './store.ts'

/** Staff see who is here and how often; training data open to those whom the member is assigned to alone. */
export const memberRoutes: Route[] = [
  route('get /members', ({ inScope, seat, query }) =>
    inScope((scope) => listMembers(scope, seat.id, query.after, Number(query.most ?? pageSize))),
  ),
  route('get /members/:id/file', ({ inMember }) =>
    inMember(async (scope) => (await readMemberFile(scope)).file),
  ),
  route('get /me/data', ({ inMember, request }) =>
    inMember(async (scope) => ({
      ...(await readOwn(scope, request.session.account as string)),
      file: (await readMemberFile(scope)).file,
    })),
  ),
]
