import type { RequestHandler } from 'express'
import { Problem } from './problem.ts'

/** No document that the app sends lies deeper. */
const deepest = 64

/**
 * Refuses what no page of ours sends and no store takes: bodies nested without end, characters that are half of one or none (NUL), names that
 * every object has (which no id may be), and addresses that hold such.
 */
export const readable: RequestHandler = (request, _response, next) => {
  if (!isText(decoded(request.url))) throw unreadable()
  const open: [unknown, number][] = [[request.body, 0]]
  for (let one = open.pop(); one; one = open.pop()) {
    const [value, depth] = one
    if (typeof value === 'string' && !isText(value)) throw unreadable()
    if (typeof value !== 'object' || value === null) continue
    if (depth > deepest) throw unreadable()
    for (const [key, inner] of Object.entries(value)) {
      if (!isText(key) || key in Object.prototype) throw unreadable()
      if (typeof inner === 'string' || typeof inner === 'object') open.push([inner, depth + 1])
    }
  }
  next()
}

const unreadable = () =>
  new Problem(
    'notReadable',
    'What was sent holds characters or names that cannot be stored, or is nested too deeply.',
  )

/** Well-formed Unicode without NUL, which PostgreSQL's texts cannot hold. */
const isText = (text: string): boolean => !/[\0\p{Surrogate}]/u.test(text)

function decoded(url: string): string {
  try {
    return decodeURIComponent(url)
  } catch {
    throw new Problem('notReadable', 'This address is not one: it ends in the middle of a character.')
  }
}
