import cluster from 'node:cluster'
import { existsSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { checkDatabase } from './database/check.ts'
import { openDatabase } from './database/open.ts'
import { offerSetUp } from './features/gyms/setUp.ts'
import { makeApp } from './http/app.ts'
import { openQueue } from './jobs/queue.ts'
import { openPost } from './mail/mailer.ts'
import { lead } from './processes.ts'
import { readProcesses, readSettings, type Settings } from './settings.ts'

const page = fileURLToPath(new URL('../../web/dist', import.meta.url))

/** `npm start` serves from this process, `npm start 4` from four that share the port. */
async function main(): Promise<void> {
  const settings = readSettings()
  const processes = readProcesses(process.argv[2])
  if (!existsSync(page)) throw new Error('The page is not built: run npm run build.')
  if (cluster.isWorker) return serve(settings)
  if (processes === 1) await serve(settings)
  else await lead(processes)
  const many = processes === 1 ? '' : `, in ${processes} processes`
  process.stdout.write(`Young Oak is at ${settings.publicUrl}${many}\n`)
  await sayHowToBegin(settings)
}

/** On an empty database: where the first gym is set up, and the code that it takes. */
async function sayHowToBegin({ databaseUrl, publicUrl }: Settings): Promise<void> {
  const database = openDatabase(databaseUrl)
  const code = await offerSetUp(database).finally(() => database.close())
  if (code !== null)
    process.stdout.write(
      `There is no gym yet. Set up yours at ${new URL('/set-up', publicUrl).href} with the code ${code}\n`,
    )
}

async function serve(settings: Settings): Promise<void> {
  const database = openDatabase(settings.databaseUrl)
  await checkDatabase(database)
  const queue = await openQueue(settings.databaseUrl, database, pino(), openPost(settings))
  const server = createServer(makeApp(database, settings, page))
  // Longer than a balancer keeps a connection, so that it is never closed under a request.
  server.keepAliveTimeout = 65_000
  server.headersTimeout = 70_000
  await listen(server, settings.port, settings.host)
  let isStopping = false
  const stop = () => {
    if (isStopping) return
    isStopping = true
    const close = () => queue.close().then(() => database.close())
    server.close(() => void close().then(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => process.exit(0), 5000).unref()
  }
  process.on('SIGTERM', stop).on('SIGINT', stop)
}

const listen = (server: Server, port: number, host: string) =>
  new Promise<void>((resolve, reject) => server.once('error', reject).listen(port, host, resolve))

main().catch((error: Error & { code?: string }) => {
  const sentence =
    error.code === 'EADDRINUSE'
      ? 'The port is taken: set PORT to another.'
      : error.message || String(error.code ?? error)
  process.stderr.write(`Young Oak did not start. ${sentence}\n`)
  process.exit(1)
})
