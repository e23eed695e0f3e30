import cluster, { type Worker } from 'node:cluster'

/**
 * Starts processes that serve, and resolves once all of them do: the port is closed when the last one that listens ends. One that ends is replaced while the
 * others go on; SIGTERM ends all. Where the first ones cannot start they have said why, and so ends this.
 */
export async function lead(processes: number): Promise<void> {
  let isStopping = false
  const stop = () => {
    isStopping = true
    for (const worker of workers()) worker.kill('SIGTERM')
  }
  process.on('SIGTERM', stop).on('SIGINT', stop)
  const first = Array.from({ length: processes }, () => cluster.fork())
  cluster.on('exit', (worker, _code, signal: string | null) => {
    if (isStopping) {
      if (!workers().length) process.exit(0)
      return
    }
    if (first.includes(worker) && !hasServed.has(worker) && !signal) process.exit(1)
    // One that could not even start would be replaced for ever: it is tried again after a while.
    setTimeout(() => !isStopping && cluster.fork(), hasServed.has(worker) ? 0 : 5000)
  })
  await new Promise<void>((resolve) => {
    cluster.on('listening', (worker) => {
      hasServed.add(worker)
      if (workers().filter((one) => hasServed.has(one)).length >= processes) resolve()
    })
  })
}

const hasServed = new WeakSet<Worker>()
const workers = (): Worker[] => Object.values(cluster.workers ?? {}).filter((one) => one !== undefined)
