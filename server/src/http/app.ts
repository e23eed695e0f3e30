import { join } from 'node:path'
import compression from 'compression'
import express, { type ErrorRequestHandler, type Express } from 'express'
import helmet from 'helmet'
import { pinoHttp } from 'pino-http'
import type { Database } from '../database/open.ts'
import { routes } from '../features/routes.ts'
import { guessable, limitSignIn } from '../security/limitSignIn.ts'
import { sameOrigin } from '../security/sameOrigin.ts'
import { signInSession } from '../security/signInSession.ts'
import type { Settings } from '../settings.ts'
import { mount } from './mount.ts'
import { problems } from '@young-oak/api/problems'
import { asProblem, withoutWords } from './asProblem.ts'
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
  app.use(compression())
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
  app.use(guessable, limitSignIn(database, settings))
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
