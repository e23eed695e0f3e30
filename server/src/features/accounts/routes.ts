import { Problem } from '../../http/problem.ts'
import { route, type Route } from '../../http/route.ts'
import { resetPassword } from './letters.ts'
import { hashPassword, isPassword } from './password.ts'
import { sessionView, signIn } from './signIn.ts'
import { findAccount, savePassword } from './store.ts'

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
  route('post /session/password', async ({ body, database, request }) => {
    const id = request.session.account ?? ''
    const { current, next } = body
    const account = await database.outside((scope) => findAccount(scope, { id }))
    if (!account || !(await isPassword(account.password_hash, current)))
      throw new Problem('wrongPassword', 'This is not your current password.', [
        { path: 'current', message: 'This is not your current password.' },
      ])
    const hash = await hashPassword(next)
    await database.outside((scope) => savePassword(scope, id, hash, request.sessionID))
  }),
  route('post /reset', ({ body, database }) => resetPassword(database, body)),
  route(
    'delete /session',
    ({ request }) =>
      new Promise<void>((resolve, reject) =>
        request.session.destroy((error) => (error ? reject(error as Error) : resolve())),
      ),
  ),
]
