/** Everything that the environment decides. No other file reads it. */
export type Settings = {
  /** The database, signed in as the role that owns nothing. */
  databaseUrl: string
  sessionSecret: string
  port: number
  host: string
  /** The address that people use; cookies are sent over https only when it is https. */
  publicUrl: string
  /** Offers the demo accounts on the sign-in page. Never on in production. */
  demo: boolean
  /** Sign-in attempts that one address may make for one account in 15 minutes. */
  signInAttempts: number
  /** Holds every answer against its contract: for tests, since it takes longer than the answer. */
  heldToContracts: boolean
}

/** Reads the settings, or throws one sentence that names every variable that is missing or wrong. */
export function readSettings(env: NodeJS.ProcessEnv = process.env): Settings {
  const faults: string[] = []
  const need = (name: string, what: string): string => {
    const value = env[name]
    if (!value) faults.push(`${name} is missing: ${what}`)
    return value ?? ''
  }
  const databaseUrl = need('DATABASE_URL', 'postgres://young_oak_app:…@host/database')
  const sessionSecret = need('SESSION_SECRET', 'at least 32 random characters')
  if (sessionSecret && sessionSecret.length < 32)
    faults.push('SESSION_SECRET is too short: at least 32 random characters')
  const port = Number(env.PORT ?? 4600)
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    faults.push(`PORT is "${env.PORT}": a number from 1 to 65535`)
  if (faults.length) throw new Error(faults.join('\n'))
  const host = env.HOST ?? '127.0.0.1'
  return {
    databaseUrl,
    sessionSecret,
    port,
    host,
    publicUrl: env.PUBLIC_URL ?? `http://${host}:${port}`,
    demo: env.YOUNG_OAK_DEMO === 'yes' && env.NODE_ENV !== 'production',
    signInAttempts: Number(env.SIGN_IN_ATTEMPTS ?? 10),
    heldToContracts: env.HELD_TO_CONTRACTS === 'yes',
  }
}

/** The database as its owner, for migrations and for adding people: neither is the server's. */
export function readOwnerUrl(env: NodeJS.ProcessEnv = process.env): string {
  const url = env.DATABASE_OWNER_URL
  if (!url) throw new Error('DATABASE_OWNER_URL is missing: postgres://owner:…@host/database')
  return url
}
