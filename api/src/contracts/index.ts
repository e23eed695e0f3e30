import { accounts } from './accounts.ts'
import { audit } from './audit.ts'
import { equipment } from './equipment.ts'
import { exercises } from './exercises.ts'
import { groups } from './groups.ts'
import { gyms } from './gyms.ts'
import { mail } from './mail.ts'
import { maxes } from './maxes.ts'
import { members } from './members.ts'
import { people } from './people.ts'
import { progress } from './progress.ts'
import { publications } from './publications.ts'
import { templates } from './templates.ts'
import { training } from './training.ts'

export type { AnswerOf, BodyOf, Contract, Page, QueryOf } from './contract.ts'
export { pageSize } from './contract.ts'
export { faultIn, outlineOf, type Outline } from './reads.ts'

/** Every route there is, by its method and path. */
export const contracts = {
  ...accounts,
  ...exercises,
  ...templates,
  ...publications,
  ...members,
  ...maxes,
  ...progress,
  ...equipment,
  ...gyms,
  ...groups,
  ...people,
  ...mail,
  ...audit,
  ...training,
}
export type Contracts = typeof contracts
export type RouteName = keyof Contracts
