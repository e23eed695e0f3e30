import type { Database } from '../database/open.ts'
import { runLook } from '../features/publications/impact.ts'
import { fillPublication } from '../features/publications/service.ts'
import type { Planners } from '../planning/planners.ts'

/** What a task is handed: it acts for a gym, on one thing of it. Nothing of a member stands in the queue. */
export type TaskInput = { gym: string; id: string }

/** What tasks work with. `planners` starts the threads where they do not run yet. */
export type Hands = { database: Database; planners: () => Planners }

/** Tasks by name. Each may be run again at any time, by whichever server: it goes on where it stopped, or finds nothing to do. */
export const tasks = {
  publish: ({ database }: Hands, { gym, id }: TaskInput) => fillPublication(database, gym, id),
  look: ({ database, planners }: Hands, { gym, id }: TaskInput) => runLook(database, planners, gym, id),
}
export type TaskName = keyof typeof tasks
