import type { Schema } from 'yup'
import type { Scope } from '../../database/scope.ts'
import { forbidden, notFound } from '../../http/problem.ts'
import { route, type Call, type Route } from '../../http/route.ts'

type Work<B> = (scope: Scope, member: string, call: Call<B>) => Promise<unknown>

/** The same thing twice: of the member who is signed in, and of a member of the writer who is. */
export function ownAndWriters<B>(
  method: Route['method'],
  what: string,
  work: Work<B>,
  body?: Schema<B>,
): Route[] {
  return [
    route<B>({
      method,
      path: `/me/${what}`,
      who: ['member'],
      body,
      run: (call) => call.inScope((scope) => work(scope, call.seat.id, call)),
    }),
    route<B>({
      method,
      path: `/members/:id/${what}`,
      who: ['writer'],
      body,
      run: (call) =>
        call.inScope(async (scope) => {
          const member = call.params.id as string
          await checkWriter(scope, member, call.seat.id)
          return work(scope, member, call)
        }),
    }),
  ]
}

/** A member's own things are open to the member and to the writer assigned to them. */
async function checkWriter({ db }: Scope, member: string, writer: string): Promise<void> {
  const row = await db('member').where({ id: member }).first('writer_id')
  if (!row) throw notFound('member')
  if (row.writer_id !== writer) throw forbidden()
}
