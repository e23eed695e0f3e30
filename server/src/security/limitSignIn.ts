import { createHash } from 'node:crypto'
import type { Request, RequestHandler } from 'express'
import { ipKeyGenerator, rateLimit, type ClientRateLimitInfo, type Store } from 'express-rate-limit'
import type { Database } from '../database/open.ts'
import { Problem } from '../http/problem.ts'
import type { Settings } from '../settings.ts'

const windowMs = 15 * 60 * 1000

/** Wrong passwords, counted in the database: those of one address on one account, and those of one address on all of them. */
export function limitSignIn(database: Database, settings: Settings): RequestHandler[] {
  const limit = (prefix: string, most: number, keyOf: (request: Request) => string) =>
    rateLimit({
      windowMs,
      limit: most,
      // Mounted where it guards, so what is left of the path is what lies below.
      skip: ({ method, path }) => method !== 'POST' || path !== '/',
      skipSuccessfulRequests: true,
      keyGenerator: (request) => hash(`${prefix}${ipKeyGenerator(request.ip ?? '')} ${keyOf(request)}`),
      standardHeaders: 'draft-7',
      legacyHeaders: false,
      store: countInDatabase(database),
      handler: () => {
        throw new Problem('tooManyAttempts', 'Too many attempts. Wait a quarter of an hour and try again.')
      },
    })
  return [limit('all ', settings.signInAttemptsOverall, () => ''), limit('', settings.signInAttempts, whose)]
}

/** Where a password or a code is asked for; what lies below another one comes first. */
export const guessable = [
  'session/password',
  'session/address',
  'session',
  'me/leave',
  'me/erasure',
  'set-up',
  'join/accept',
  'join/ask',
  'reset',
].map((path) => `/api/${path}`)

/** The account that the password is guessed of. */
const whose = ({ body, session }: Request): string =>
  session.account ?? (typeof body?.email === 'string' ? body.email.toLowerCase() : '')

const hash = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 40)

function countInDatabase(database: Database): Store {
  const change = (key: string, by: 1 | -1): Promise<ClientRateLimitInfo> =>
    database.outside(async ({ db }) => {
      const { rows } = await db.raw(
        `with over as (
           delete from sign_in_attempt where key in (
             select key from sign_in_attempt where resets_at < now() and key <> ? limit 20 for update skip locked))
         insert into sign_in_attempt as a (key, hits, resets_at) values (?, ?, now() + ? * interval '1 millisecond')
         on conflict (key) do update set
           hits = case when a.resets_at < now() then excluded.hits else greatest(a.hits + ?, 0) end,
           resets_at = case when a.resets_at < now() then excluded.resets_at else a.resets_at end
         returning hits, resets_at`,
        [key, key, Math.max(by, 0), windowMs, by],
      )
      return { totalHits: rows[0].hits, resetTime: rows[0].resets_at }
    })
  return {
    increment: (key) => change(key, 1),
    decrement: async (key) => void (await change(key, -1)),
    resetKey: (key) =>
      database.outside(async ({ db }) => void (await db('sign_in_attempt').where({ key }).delete())),
  }
}
