import type { Database } from '../database/open.ts'
import { eraseMember } from '../features/erasing/store.ts'
import { runLook } from '../features/publications/impact.ts'
import { fillPublication } from '../features/publications/service.ts'
import type { TaskName } from './addJob.ts'
import type { Planners } from '../planning/planners.ts'

/** What a task is handed: it acts for a gym, on one thing of it. Nothing of a member stands in the queue. */
export type TaskInput = { gym: string; id: string }

/** What tasks work with. `planners` starts the threads where they do not run yet. */
export type Hands = { database: Database; planners: () => Planners }

/** Tasks by name. Each may be run again at any time, by whichever server: it goes on where it stopped, or finds nothing to do. */
export const tasks: Record<TaskName, (hands: Hands, input: TaskInput) => Promise<void>> = {
  publish: ({ database }, { gym, id }) => fillPublication(database, gym, id),
  erase: async ({ database }, { gym, id }) =>
    void (await database.inGym(gym, (scope) => eraseMember(scope, id))),
  look: ({ database, planners }, { gym, id }) => runLook(database, planners, gym, id),
}
