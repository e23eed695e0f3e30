import { randomUUID } from 'node:crypto'
import { expect } from '@jest/globals'
import { operationFormat } from '@young-oak/api/operations'
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

/** Sends operations as a phone does; all of them are to be stored. */
export async function sendOperations(phone: Agent, operations: object[]): Promise<void> {
  const { body } = await phone
    .post('/api/me/operations')
    .send({ format: operationFormat, operations: operations.map((one) => ({ id: randomUUID(), ...one })) })
    .expect(200)
  expect(body.answers.filter(({ result }: { result: string }) => result !== 'stored')).toEqual([])
}

/** A set of the small template's squat, as a phone sends it. */
export const squatSet = (session: string, n: number, kg: number) => ({
  kind: 'set',
  session,
  rev: 1,
  set: { slot: 'squat', n, exercise: 'backSquat', state: 'done', load: { value: kg, unit: 'kg' }, reps: 5 },
})
