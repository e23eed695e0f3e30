import type { Refusal } from '@young-oak/api/training'

const reasons = {
  notUnderstood: 'This app is older than the server, or newer. Load it again.',
  notStarted: 'This session was not started.',
  notOnProgram: 'You are not on this program.',
  noSuchSession: 'The program has no such session any more.',
  farAhead: 'This day is ahead of your gym’s today. Check the clock of this phone, and choose the day again.',
  ourFault: 'This could not be stored, which is our fault: tell your coach.',
} satisfies Partial<Record<Refusal['code'], string>>

export const refuse = (id: string, code: keyof typeof reasons): Refusal => ({
  id,
  result: 'refused',
  code,
  reason: reasons[code],
})
