import { problems, type ProblemCode } from '@young-oak/api/problems'

/** A fault that the reader is told, answered as problem details (RFC 9457) with a code. */
export class Problem extends Error {
  readonly code: ProblemCode
  readonly errors: { path: string; message: string }[]

  constructor(code: ProblemCode, detail: string, errors: { path: string; message: string }[] = []) {
    super(detail)
    this.code = code
    this.errors = errors
  }

  get status(): number {
    return problems[this.code].status
  }
}

export const notFound = (what: string) => new Problem('notFound', `There is no such ${what} here.`)
export const forbidden = () => new Problem('notAllowed', 'Your role in this gym does not allow this.')
export const pageTooOld = () =>
  new Problem(
    'pageTooOld',
    'This page is older than the server. Load it again: what you have written and logged is kept.',
  )
export const otherSeat = () =>
  new Problem(
    'otherSeat',
    'You are signed in as somebody else in another tab. Load this page again: what was not sent is kept.',
  )
export const signInFirst = () => new Problem('signInFirst', 'Sign in to continue.')
