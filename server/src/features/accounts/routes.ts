import type { SessionView } from '@young-oak/api/accounts'
import { Problem, signInFirst } from '../../http/problem.ts'
import { route, type Call, type Route } from '../../http/route.ts'
import { demoAccounts } from './demoAccounts.ts'
import { hashPassword, isPassword } from './password.ts'
import { findAccount, listSeats, savePassword } from './store.ts'

export const accountRoutes: Route[] = [
  route('get /session', async (call) => {
    const answer = await view(call)
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
    const seats = await call.database.inAccount(account.id, (scope) => listSeats(scope, account.id))
    if (!seats[0]) throw new Problem('noGym', 'This account belongs to no gym yet. Ask your gym to add you.')
    await renew(call)
    call.request.session.account = account.id
    call.request.session.seat = seats[0]
    return view(call)
  }),
  route('post /session/seat', async (call) => {
    const { seats } = await view(call)
    const seat = seats.find(({ gym, id }) => gym === call.body.gym && id === call.body.id)
    if (!seat) throw new Problem('notAllowed', 'This seat is not yours.')
    call.request.session.seat = seat
    return view(call)
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
  route(
    'delete /session',
    ({ request }) =>
      new Promise<void>((resolve, reject) =>
        request.session.destroy((error) => (error ? reject(error as Error) : resolve())),
      ),
  ),
]

async function view({
  request,
  database,
  settings,
}: Pick<Call, 'request' | 'database' | 'settings'>): Promise<SessionView> {
  const { account, seat } = request.session
  const seats = account ? await database.inAccount(account, (scope) => listSeats(scope, account)) : []
  if (seat && !seats.some(({ id, kind }) => id === seat.id && kind === seat.kind)) throw signInFirst()
  return { seat: seat ?? null, seats, demo: settings.demo ? demoAccounts : [] }
}

/** A new session id at sign-in, so that one fixed beforehand is worth nothing. */
const renew = ({ request }: Pick<Call, 'request'>) =>
  new Promise<void>((resolve, reject) =>
    request.session.regenerate((error) => (error ? reject(error) : resolve())),
  )
