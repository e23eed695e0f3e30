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
  const Store = connectPgSimple(session)
  return session({
    name: 'young-oak',
    secret: settings.sessionSecret,
    // The cookie ends two weeks after sign-in whatever happens, so that there is nothing to write at each request.
    store: new Store({
      pool: database.pool,
      tableName: 'sign_in_session',
      disableTouch: true,
      errorLog: () => undefined,
    }),
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
