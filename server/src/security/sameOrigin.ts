import type { RequestHandler } from 'express'
import { buildHeader } from '@young-oak/api/build'
import { Problem } from '../http/problem.ts'

/**
 * Refuses writes that another site's page could have sent: they must name the build of their page in a header of ours, which a browser lets no
 * foreign page add without asking this server first, and it never says yes.
 */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const isRead = request.method === 'GET' || request.method === 'HEAD'
  if (!isRead && !/^[1-9][0-9]*$/.test(request.get(buildHeader) ?? ''))
    throw new Problem('notAllowed', 'This did not come from the app.')
  next()
}
