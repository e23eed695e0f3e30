import { route, type Route } from '../../http/route.ts'
import { listMail } from './store.ts'

/** The owner sees what was written to people of the gym, and hands links over where the server sends no mail. */
export const mailRoutes: Route[] = [
  route('get /mail', ({ inScope, query, settings }) =>
    inScope((scope) => listMail(scope, settings.publicUrl, query.after)),
  ),
]
