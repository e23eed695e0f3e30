import type { Database } from '../database/open.ts'
import { eraseMember } from '../features/erasing/store.ts'
import { sendLetter } from '../features/accounts/forgotten.ts'
import { send } from '../features/mail/service.ts'
import type { Post } from '../mail/mailer.ts'
import { runLook } from '../features/publications/impact.ts'
import { fillPublication } from '../features/publications/service.ts'
import type { TaskName } from './addJob.ts'
import type { Planners } from '../planning/planners.ts'

/** What a task is handed: it acts for a gym, on one thing of it. Nothing of a member stands in the queue. */
export type TaskInput = { gym: string; id: string }

/** What tasks work with. `planners` starts the threads where they do not run yet. */
export type Hands = { database: Database; planners: () => Planners; post: Post }

/** Tasks by name. Each may be run again at any time, by whichever server: it goes on where it stopped, or finds nothing to do. */
export const tasks: Record<TaskName, (hands: Hands, input: TaskInput) => Promise<void>> = {
  publish: ({ database }, { gym, id }) => fillPublication(database, gym, id),
  erase: async ({ database }, { gym, id }) =>
    void (await database.inGym(gym, (scope) => eraseMember(scope, id))),
  mail: ({ database, post }, { gym, id }) => send(database, post, gym, id),
  letter: ({ database, post }, { id }) => sendLetter(database, post, id),
  look: ({ database, planners }, { gym, id }) => runLook(database, planners, gym, id),
}
