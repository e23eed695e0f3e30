import { join } from 'node:path'
import express, { type ErrorRequestHandler, type Express } from 'express'
import helmet from 'helmet'
import { pinoHttp } from 'pino-http'
import type { Database } from '../database/open.ts'
import { routes } from '../features/routes.ts'
import { limitSignIn } from '../security/limitSignIn.ts'
import { sameOrigin } from '../security/sameOrigin.ts'
import { signInSession } from '../security/signInSession.ts'
import type { Settings } from '../settings.ts'
import { mount } from './mount.ts'
import { problems } from '@young-oak/api/problems'
import { Problem } from './problem.ts'
import { readable } from './readable.ts'

/** The whole server: headers, sign-in session, the interface under /api, and the page. */
export function makeApp(database: Database, settings: Settings, pageFolder: string): Express {
  const app = express()
  app.disable('x-powered-by')
  app.set('trust proxy', settings.trustedProxies)
  app.use(headers(settings))
  app.use(
    pinoHttp({
      level: 'warn',
      redact: ['req.headers', 'res.headers'],
      serializers: { req: ({ method, url }) => ({ method, url }) },
    }),
  )
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  // It goes the way of a request: over the connections of sign-in, and over those of the work.
  app.get('/api/health', async (_request, response) => {
    await Promise.all([database.pool.query('select 1'), database.outside(({ db }) => db.raw('select 1'))])
    response.json({ ok: true })
  })
  app.use('/api', sameOrigin, express.json({ limit: '2mb' }), readable, signInSession(database, settings))
  app.use('/api/session', limitSignIn(database, settings))
  app.use('/api', mount(routes, database, settings))
  app.use('/api', () => {
    throw new Problem('notFound', 'There is nothing at this address.')
  })
  app.use(express.static(pageFolder, { index: false, immutable: true, maxAge: '1y', setHeaders: neverStale }))
  app.get('/{*rest}', (_request, response) =>
    response.set('Cache-Control', 'no-cache').sendFile(join(pageFolder, 'index.html')),
  )
  app.use(answerError)
  return app
}

const neverStale = (response: { set(name: string, value: string): void }, path: string) => {
  if (!path.includes('/assets/')) response.set('Cache-Control', 'no-cache')
}

const headers = ({ publicUrl }: Settings) =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        workerSrc: ["'self'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        styleSrc: ["'self'", "'unsafe-inline'"],
        frameAncestors: ["'none'"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
      },
    },
    // Half a year, once people reach it over https.
    strictTransportSecurity: publicUrl.startsWith('https:') && { maxAge: 15_552_000 },
  })

/** Every error leaves as problem details; what the reader cannot mend is logged without any of their data. */
const answerError: ErrorRequestHandler = (error, request, response, _next) => {
  const problem = asProblem(error)
  if (problem.status === 500) request.log.error(withoutWords(error as Error), 'failed')
  response.status(problem.status).type('application/problem+json').json({
    type: 'about:blank',
    title: problems[problem.code].title,
    code: problem.code,
    status: problem.status,
    detail: problem.message,
    errors: problem.errors,
  })
}

/** Where an error came from, without its message, which may quote a member's data. */
const withoutWords = ({ name, stack, ...rest }: Error & { code?: string }) => ({
  kind: name,
  code: rest.code,
  at: stack
    ?.split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 6),
})

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error
  const { code, type, status, name, message } = error as {
    message?: string
    code?: string
    type?: string
    status?: number
    name?: string
  }
  if (isAway(code, name, message)) {
    return new Problem('databaseAway', 'Nothing was lost. Try again in a moment.')
  }
  if (code === '55P03' || code === '57014')
    return new Problem('busy', 'Somebody else is writing the same. Nothing was lost: try again in a moment.')
  if (type === 'entity.too.large') return new Problem('tooLarge', 'At most 2 MB can be sent at once.')
  if (status === 400) return new Problem('notReadable', 'What was sent is not JSON.')
  if (status === 404) return new Problem('notFound', 'There is nothing at this address.')
  if (status === 415) return new Problem('notUnderstood', 'Send JSON, as it is or compressed by gzip.')
  if (code === '22P02') return new Problem('notFound', 'There is nothing with this id.')
  if (code?.startsWith('22')) return new Problem('notAsExpected', 'One of these values cannot be stored.')
  return new Problem('ourFault', 'This is our fault, not yours. Nothing was half-saved. Try again.')
}

/** Connection refused, lost, or the server starting up or shutting down (class 57 and 08 of PostgreSQL's codes); pg says some in words alone. */
const isAway = (code?: string, name?: string, message = ''): boolean =>
  name === 'KnexTimeoutError' ||
  /^(Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error)/.test(
    message,
  ) ||
  /^(ECONN|ETIMEDOUT|EPIPE|57P0|08|53300)/.test(code ?? '') ||
  name === 'AggregateError'
