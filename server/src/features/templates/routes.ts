import { route, type Route } from '../../http/route.ts'
import { edit, importTemplate, viewChanges, viewTemplate } from './service.ts'
import { listTemplates } from './store.ts'

export const templateRoutes: Route[] = [
  route('get /templates', ({ inScope, query }) => inScope((scope) => listTemplates(scope, query.after))),
  route('post /templates', ({ inScope, body }) => inScope((scope) => importTemplate(scope, body.template))),
  route('get /templates/:id', ({ inScope, params }) =>
    inScope((scope) => viewTemplate(scope, params.id as string)),
  ),
  route('get /templates/:id/changes', ({ inScope, params }) =>
    inScope((scope) => viewChanges(scope, params.id as string)),
  ),
  route('post /templates/:id/edits', ({ inScope, params, seat, body }) =>
    inScope((scope) => edit(scope, params.id as string, seat.id, body)),
  ),
]
