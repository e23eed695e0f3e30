import type { AuditKind } from '@young-oak/api/audit'
import { route, type Route } from '../../http/route.ts'
import { listAudit, listAuditOf } from './store.ts'

/** Who saw and changed what: for the owner of everybody, for members of themselves. */
export const auditRoutes: Route[] = [
  route('get /audit', ({ inScope, query: { after, kind, name } }) =>
    inScope((scope) => listAudit(scope, { after, kind: kind as AuditKind | undefined, name })),
  ),
  route('get /me/audit', ({ inMember, query }) =>
    inMember((scope) => listAuditOf(scope, scope.member, query.after)),
  ),
]
