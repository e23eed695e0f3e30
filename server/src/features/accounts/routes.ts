import { chooseSeatSchema, signInSchema, type SessionView } from '@young-oak/api/accounts'
import { Problem, signInFirst } from '../../http/problem.ts'
import { route, type Call, type Route } from '../../http/route.ts'
import { demoAccounts } from './demoAccounts.ts'
import { isPassword } from './password.ts'
import { findAccount, listSeats } from './store.ts'

export const accountRoutes: Route[] = [
  route({
    method: 'get',
    path: '/session',
    who: 'anyone',
    async run(call) {
      const answer = await view(call)
      // Its answer says which library the gym has, so that a page which asks for nothing else has it too.
      if (answer.seat) await call.inScope(() => Promise.resolve())
      return answer
    },
  }),
  route({
    method: 'post',
    path: '/session',
    who: 'anyone',
    body: signInSchema,
    async run(call) {
      const { email, password } = call.body
      const account = await call.database.outside((scope) => findAccount(scope, email))
      if (!(await isPassword(account?.password_hash, password)) || !account) {
        throw new Problem(401, 'Not signed in', 'This e-mail address and password do not go together.')
      }
      const seats = await call.database.inAccount(account.id, (scope) => listSeats(scope, account.id))
      if (!seats[0])
        throw new Problem(403, 'No gym', 'This account belongs to no gym yet. Ask your gym to add you.')
      await renew(call)
      call.request.session.account = account.id
      call.request.session.seat = seats[0]
      return view(call)
    },
  }),
  route({
    method: 'post',
    path: '/session/seat',
    who: ['owner', 'writer', 'member'],
    body: chooseSeatSchema,
    async run(call) {
      const { seats } = await view(call)
      const seat = seats.find(({ gym, id }) => gym === call.body.gym && id === call.body.id)
      if (!seat) throw new Problem(403, 'Not allowed', 'This seat is not yours.')
      call.request.session.seat = seat
      return view(call)
    },
  }),
  route({
    method: 'delete',
    path: '/session',
    who: 'anyone',
    run: ({ request }) =>
      new Promise((resolve, reject) =>
        request.session.destroy((error) => (error ? reject(error) : resolve(undefined))),
      ),
  }),
]

async function view({ request, database, settings }: Call): Promise<SessionView> {
  const { account, seat } = request.session
  const seats = account ? await database.inAccount(account, (scope) => listSeats(scope, account)) : []
  if (seat && !seats.some(({ id, kind }) => id === seat.id && kind === seat.kind)) throw signInFirst()
  return { seat: seat ?? null, seats, demo: settings.demo ? demoAccounts : [] }
}

/** A new session id at sign-in, so that one fixed beforehand is worth nothing. */
const renew = ({ request }: Call) =>
  new Promise<void>((resolve, reject) =>
    request.session.regenerate((error) => (error ? reject(error) : resolve())),
  )
