import { Problem } from './problem.ts'

/** What a reader is told of an error, whatever it is. */
export function asProblem(error: unknown): Problem {
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
  // Waited for a row too long, took too long, or two waited for each other.
  if (code === '55P03' || code === '57014' || code === '40P01')
    return new Problem('busy', 'This takes too long right now. Nothing was lost: try again in a moment.')
  if (type === 'entity.too.large') return new Problem('tooLarge', 'At most 2 MB can be sent at once.')
  if (status === 400) return new Problem('notReadable', 'What was sent is not JSON.')
  if (status === 404) return new Problem('notFound', 'There is nothing at this address.')
  if (status === 415) return new Problem('notUnderstood', 'Send JSON, as it is or compressed by gzip.')
  if (code === '22P02') return new Problem('notFound', 'There is nothing with this id.')
  if (/^22/.test(code ?? '')) return new Problem('notAsExpected', 'One of these values cannot be stored.')
  return new Problem('ourFault', 'This is our fault, not yours. Nothing was half-saved. Try again.')
}

/** Connection refused, lost, or the server starting up or shutting down (class 57 and 08 of PostgreSQL's codes); pg says some in words alone. */
const isAway = (code?: string, name?: string, message = ''): boolean =>
  name === 'KnexTimeoutError' ||
  /^(Connection terminated|timeout e(xpired|xceeded when trying to connect)|Client (has encountered a connection error|was closed))/.test(
    message,
  ) ||
  /^(ECONN|ETIMEDOUT|EPIPE|ERR_STREAM|57P0|08|53300)/.test(code ?? '') ||
  name === 'AggregateError'

/** Where an error came from, without its message, which may quote a member's data. */
export const withoutWords = ({ name, stack, ...rest }: Error & { code?: string }) => ({
  kind: name,
  code: rest.code,
  at: stack
    ?.split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 6),
})
