import { accountRoutes } from './accounts/routes.ts'
import { auditRoutes } from './audit/routes.ts'
import { erasingRoutes } from './erasing/routes.ts'
import { equipmentRoutes } from './equipment/routes.ts'
import { exerciseRoutes } from './exercises/routes.ts'
import { groupRoutes } from './groups/routes.ts'
import { gymRoutes } from './gyms/routes.ts'
import { mailRoutes } from './mail/routes.ts'
import { maxRoutes } from './maxes/routes.ts'
import { memberRoutes } from './members/routes.ts'
import { peopleRoutes } from './people/routes.ts'
import { progressRoutes } from './progress/routes.ts'
import { publicationRoutes } from './publications/routes.ts'
import { templateRoutes } from './templates/routes.ts'
import { trainingRoutes } from './training/routes.ts'
import type { Route } from '../http/route.ts'

/** Every route there is, the busiest first: they are tried in this order. */
export const routes: Route[] = [
  ...trainingRoutes,
  ...accountRoutes,
  ...exerciseRoutes,
  ...templateRoutes,
  ...publicationRoutes,
  ...memberRoutes,
  ...maxRoutes,
  ...progressRoutes,
  ...equipmentRoutes,
  ...gymRoutes,
  ...groupRoutes,
  ...peopleRoutes,
  ...mailRoutes,
  ...auditRoutes,
  ...erasingRoutes,
]
