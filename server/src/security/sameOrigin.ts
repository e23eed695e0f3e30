import type { RequestHandler } from 'express'
import { Problem } from '../http/problem.ts'

/**
 * Refuses writes that another site's page could have sent: they must carry a header of ours, which a browser lets no
 * foreign page add without asking this server first, and it never says yes.
 */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const isRead = request.method === 'GET' || request.method === 'HEAD'
  if (!isRead && request.get('x-young-oak') !== '1')
    throw new Problem('notAllowed', 'This did not come from the app.')
  next()
}
