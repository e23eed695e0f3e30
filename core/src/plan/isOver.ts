import type { Day } from '../units/index.ts'
import type { Plan } from './types.ts'

/** Whether a program is over on a day because somebody has said so. */
export const isOver = ({ over }: Plan, day: Day): boolean => over !== undefined && over <= day

/** Whether a program is one of a day: it goes on, or was trained on that day before it was over. */
export const isOfDay = (plan: Plan, day: Day): boolean =>
  !isOver(plan, day) || plan.weeks.some(({ places }) => places.some(({ date }) => date === day))
