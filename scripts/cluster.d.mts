// The types of what the TypeScript scripts use of the plain JavaScript that runs before any package is installed.
export function freePort(wanted?: number): Promise<number>
export function wait(ms: number): Promise<void>
export function startCluster(
  folder: string,
  options?: { fast?: boolean; onRestart?: () => void },
): Promise<{
  url(database: string, user?: string): string
  psql(database: string, sql: string): string
  pid(): number | undefined
  stop(): Promise<void>
}>
