import { route, type Route } from '../../http/route.ts'
import { archive, deleteTemplate, needAuthor, share } from './owning.ts'
import { edit, importTemplate, viewChanges, viewTemplate } from './service.ts'
import { listTemplates } from './store.ts'

export const templateRoutes: Route[] = [
  route('get /templates', ({ inScope, seat, query }) =>
    inScope((scope) => listTemplates(scope, seat.id, query.after)),
  ),
  route('post /templates', ({ inScope, seat, body }) =>
    inScope((scope) => importTemplate(scope, seat.id, body.template)),
  ),
  route('get /templates/:id', ({ inScope, seat, params }) =>
    inScope((scope) => viewTemplate(scope, params.id as string, seat.id)),
  ),
  route('post /templates/:id/sharing', ({ inScope, seat, params, body }) =>
    inScope(async (scope) => {
      const id = params.id as string
      await needAuthor(scope, id, seat.id)
      await share(scope, id, body)
      return viewTemplate(scope, id, seat.id)
    }),
  ),
  route('post /templates/:id/archive', ({ inScope, seat, params, body }) =>
    inScope(async (scope) => {
      const id = params.id as string
      await needAuthor(scope, id, seat.id)
      await archive(scope, id, body.isArchived)
      return viewTemplate(scope, id, seat.id)
    }),
  ),
  route('delete /templates/:id', ({ inScope, seat, params }) =>
    inScope(async (scope) => {
      await needAuthor(scope, params.id as string, seat.id)
      await deleteTemplate(scope, params.id as string)
    }),
  ),
  route('get /templates/:id/changes', ({ inScope, params }) =>
    inScope((scope) => viewChanges(scope, params.id as string)),
  ),
  route('post /templates/:id/edits', ({ inScope, params, seat, body }) =>
    inScope((scope) => edit(scope, params.id as string, seat.id, body)),
  ),
]
