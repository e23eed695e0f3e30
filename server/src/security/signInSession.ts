import connectPgSimple from 'connect-pg-simple'
import session from 'express-session'
import type { Database } from '../database/open.ts'
import type { Seat } from '../http/seat.ts'
import type { Settings } from '../settings.ts'

declare module 'express-session' {
  interface SessionData {
    account: string
    seat: Seat
  }
}

const twoWeeks = 14 * 24 * 3600 * 1000

/** Sign-in sessions in the database, so that any server can answer the next request. */
export function signInSession(database: Database, settings: Settings) {
  return session({
    name: 'young-oak',
    secret: settings.sessionSecret,
    // The cookie ends two weeks after sign-in whatever happens, so that there is nothing to write at each request.
    store: makeStore(database),
    resave: false,
    rolling: false,
    saveUninitialized: false,
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      secure: settings.publicUrl.startsWith('https:'),
      maxAge: twoWeeks,
    },
  })
}

type Asked = { sid: string; done(error: unknown, found?: session.SessionData | null): void }

/** Sessions that are asked for while others are being read are read together, in the next statement. */
function makeStore({ pool }: Database): session.Store {
  const Stored = connectPgSimple(session)
  const options = { pool, tableName: 'sign_in_session', disableTouch: true, errorLog: () => undefined }
  let asked: Asked[] = []
  let isReading = false
  const find = async (sids: string[]) => {
    const { rows } = await pool.query({
      name: 'signInSessions',
      text: 'select sid, sess from sign_in_session where sid = any($1) and expire >= now()',
      values: [sids],
    })
    return new Map(rows.map(({ sid, sess }) => [sid, sess]))
  }
  async function read(): Promise<void> {
    isReading = true
    while (asked.length) {
      const batch = asked
      asked = []
      const found = await find(batch.map(({ sid }) => sid)).catch((error: unknown) => ({ error }))
      for (const { sid, done } of batch)
        if ('error' in found) done(found.error)
        else done(null, found.get(sid) ?? null)
    }
    isReading = false
  }
  class Store extends Stored {
    override get = (sid: string, done: Asked['done']): void => {
      asked.push({ sid, done })
      if (!isReading) void read()
    }
  }
  return new Store(options)
}
