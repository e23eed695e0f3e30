import pg from 'pg'

type Query = (this: pg.Client, config: { text?: string } | string, ...rest: unknown[]) => unknown

/** Hears every statement that this process sends to PostgreSQL, by its first two words, until it is told to stop. */
export function hearStatements(): { heard: string[]; stop(): void } {
  const heard: string[] = []
  const original = pg.Client.prototype.query
  const query: Query = function (config, ...rest) {
    const text = typeof config === 'string' ? config : (config.text ?? '')
    heard.push(text.trim().split(/\s+/).slice(0, 2).join(' '))
    return (original as unknown as Query).call(this, config, ...rest)
  }
  Object.assign(pg.Client.prototype, { query })
  return { heard, stop: () => void Object.assign(pg.Client.prototype, { query: original }) }
}
