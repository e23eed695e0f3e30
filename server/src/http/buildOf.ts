import { build, buildHeader } from '@young-oak/api/build'
import type { Request } from 'express'

/** The build of the page that asks; of what is no page, today's. */
export const buildOf = (request: Request): number => Number(request.get(buildHeader) ?? build)
