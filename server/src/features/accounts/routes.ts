import { Problem } from '../../http/problem.ts'
import { route, type Route } from '../../http/route.ts'
import { resetPassword } from './letters.ts'
import { hashPassword, isPassword } from './password.ts'
import { sessionView, signIn, signOut } from './signIn.ts'
import { endMembers } from '../members/membership.ts'
import { askLetter } from './forgotten.ts'
import { needPassword } from './needPassword.ts'
import { findAccount, saveAddress, savePassword } from './store.ts'

export const accountRoutes: Route[] = [
  route('get /session', async (call) => {
    const answer = await sessionView(call)
    // Its answer says which library the gym has, so that a page which asks for nothing else has it too.
    if (answer.seat) await call.inScope(() => Promise.resolve())
    return answer
  }),
  route('post /session', async (call) => {
    const { email, password } = call.body
    const account = await call.database.outside((scope) => findAccount(scope, { email }))
    if (!(await isPassword(account?.password_hash, password)) || !account) {
      throw new Problem('wrongPassword', 'This e-mail address and password do not go together.')
    }
    return signIn(call, account.id)
  }),
  route('post /session/seat', async (call) => {
    const { seats } = await sessionView(call)
    const seat = seats.find(({ gym, id }) => gym === call.body.gym && id === call.body.id)
    if (!seat) throw new Problem('notAllowed', 'This seat is not yours.')
    call.request.session.seat = seat
    return sessionView(call)
  }),
  route('post /session/password', async (call) => {
    const id = await needPassword(call)
    const { database, request } = call
    const hash = await hashPassword(call.body.next)
    await database.outside((scope) => savePassword(scope, id, hash, request.sessionID))
  }),
  route('post /session/address', async (call) => {
    const id = await needPassword(call)
    if (!(await call.database.outside((scope) => saveAddress(scope, id, call.body.email))))
      throw addressTaken()
    return sessionView(call)
  }),
  route('post /me/leave', async (call) => {
    await needPassword(call)
    await call.inScope((scope) => endMembers(scope, [call.seat.id]))
    await signOut(call)
  }),
  route('post /forgotten', ({ body, database, settings }) =>
    settings.smtp ? askLetter(database, body.email) : Promise.resolve(),
  ),
  route('post /reset', ({ body, database }) => resetPassword(database, body)),
  route('delete /session', signOut),
]

const addressTaken = () => {
  const message = 'Another account has this address.'
  return new Problem('addressTaken', message, [{ path: 'email', message }])
}
