import type { SeatView, SessionView } from '@young-oak/api/accounts'
import { Problem, signInFirst } from '../../http/problem.ts'
import type { Call } from '../../http/route.ts'
import { demoAccounts } from './demoAccounts.ts'
import { addressOf, listSeats } from './store.ts'

type Asking = Pick<Call, 'request' | 'database' | 'settings'>

/** Signs an account in, in the seat that is named or else in its first. */
export async function signIn(
  call: Asking,
  account: string,
  wanted?: Pick<SeatView, 'gym' | 'kind'>,
): Promise<SessionView> {
  const seats = await call.database.inAccount(account, (scope) => listSeats(scope, account))
  const seat = seats.find(({ gym, kind }) => gym === wanted?.gym && kind === wanted.kind) ?? seats[0]
  if (!seat) throw new Problem('noGym', 'This account belongs to no gym yet. Ask your gym to add you.')
  await renew(call)
  call.request.session.account = account
  call.request.session.seat = seat
  return sessionView(call)
}

/** Who is signed in. A seat that is over ends the sign-in; what its gym is called is read anew each time. */
export async function sessionView({ request, database, settings }: Asking): Promise<SessionView> {
  const { account, seat } = request.session
  const seats = account ? await database.inAccount(account, (scope) => listSeats(scope, account)) : []
  const email = account ? await database.outside((scope) => addressOf(scope, account)) : undefined
  const own = seat && seats.find(({ id, kind }) => id === seat.id && kind === seat.kind)
  if (seat && !own) throw signInFirst()
  return {
    seat: own ?? null,
    seats,
    email: email ?? null,
    sendsMail: settings.smtp !== null,
    demo: settings.demo ? demoAccounts : [],
  }
}

export const signOut = ({ request }: Pick<Call, 'request'>) =>
  new Promise<void>((resolve, reject) =>
    request.session.destroy((error) => (error ? reject(error as Error) : resolve())),
  )

/** A new session id at sign-in, so that one fixed beforehand is worth nothing. */
const renew = ({ request }: Pick<Call, 'request'>) =>
  new Promise<void>((resolve, reject) =>
    request.session.regenerate((error) => (error ? reject(error) : resolve())),
  )
