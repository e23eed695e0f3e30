import { editsSchema, importSchema, publishSchema } from '@young-oak/api/templates'
import { route, type Route } from '../../http/route.ts'
import { edit, importTemplate, publish, viewChanges, viewTemplate } from './service.ts'
import { listTemplates } from './store.ts'

const who = ['writer'] as const

export const templateRoutes: Route[] = [
  route({ method: 'get', path: '/templates', who, run: ({ inScope }) => inScope(listTemplates) }),
  route({
    method: 'post',
    path: '/templates',
    who,
    body: importSchema,
    bringsExercises: true,
    run: ({ inScope, body }) => inScope((scope) => importTemplate(scope, body.template)),
  }),
  route({
    method: 'get',
    path: '/templates/:id',
    who,
    run: ({ inScope, params }) => inScope((scope) => viewTemplate(scope, params.id as string)),
  }),
  route({
    method: 'get',
    path: '/templates/:id/changes',
    who,
    run: ({ inScope, params }) => inScope((scope) => viewChanges(scope, params.id as string)),
  }),
  route({
    method: 'post',
    path: '/templates/:id/edits',
    who,
    body: editsSchema,
    run: ({ inScope, params, seat, body }) =>
      inScope((scope) => edit(scope, params.id as string, seat.id, body)),
  }),
  route({
    method: 'post',
    path: '/templates/:id/versions',
    who,
    body: publishSchema,
    run: ({ inScope, params, seat, body }) =>
      inScope((scope) => publish(scope, params.id as string, seat.id, body)),
  }),
]
