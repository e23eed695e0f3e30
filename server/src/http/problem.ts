/** A fault that the reader is told, answered as problem details (RFC 9457). */
export class Problem extends Error {
  readonly status: number
  readonly title: string
  readonly errors: { path: string; message: string }[]

  constructor(
    status: number,
    title: string,
    detail: string,
    errors: { path: string; message: string }[] = [],
  ) {
    super(detail)
    this.status = status
    this.title = title
    this.errors = errors
  }
}

export const notFound = (what: string) => new Problem(404, 'Not found', `There is no such ${what} here.`)
export const forbidden = () => new Problem(403, 'Not allowed', 'Your role in this gym does not open this.')
export const signInFirst = () => new Problem(401, 'Sign in', 'Sign in to go on.')
