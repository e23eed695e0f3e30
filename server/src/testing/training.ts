import type { Operation, TodayView } from '@young-oak/api/training'
import { snapshot } from '@young-oak/core/plan'
import { sessionLogId } from '@young-oak/core/member'
import type { Agent } from './world.ts'

type Start = Omit<Extract<Operation, { kind: 'start' }>, 'id'>

/** A start as a phone sends it on a day: with what its screen shows of the session at a position. */
export async function startOn(phone: Agent, date: string, position = 1, location?: string): Promise<Start> {
  const where = location ? `&location=${location}` : ''
  const view: TodayView = (await phone.get(`/api/me/today?today=${date}${where}`).expect(200)).body
  const [program] = view.programs
  const shown = program && snapshot(program.plan, position)
  if (!shown) throw new Error(`nothing stands at position ${position} on ${date}`)
  const { enrolment } = program
  return { kind: 'start', enrolment, position, date, minute: 600, ...(location && { location }), shown }
}

/** The id of the session at a position of the small template, which has two days a week. */
export const sessionAt = (enrolment: string, position = 1): string =>
  sessionLogId(enrolment, { phase: 'p', week: Math.ceil(position / 2), day: 2 - (position % 2) }, 1)
