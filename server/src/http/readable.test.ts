import { expect, test } from '@jest/globals'
import type { Request, Response } from 'express'
import { readable } from './readable.ts'

const said = (url: string, body?: unknown): string => {
  let passed = 'nothing'
  try {
    readable({ url, body } as Request, {} as Response, () => (passed = 'passed'))
  } catch (error) {
    return (error as { code: string }).code
  }
  return passed
}
const nested = (depth: number): unknown => (depth ? [nested(depth - 1)] : 'x')

test.each<[string, string, unknown, string]>([
  [
    'plain words in any script',
    '/templates/abc?name=%C3%A9',
    { note: 'Пауза, 停, 🛶', list: [1, null, true] },
    'passed',
  ],
  ['no body at all', '/session', undefined, 'passed'],
  ['a document as deep as the app sends', '/', nested(60), 'passed'],
  ['one nested without end', '/', nested(70), 'notReadable'],
  ['NUL in a text', '/', { note: 'a\0' }, 'notReadable'],
  ['NUL in a name', '/', { 'a\0': 1 }, 'notReadable'],
  ['half a character', '/', [['\ud800']], 'notReadable'],
  ['a name that every object has', '/', { slots: { constructor: 1 } }, 'notReadable'],
  ['a name that changes what an object is', '/', JSON.parse('{"__proto__": {}}'), 'notReadable'],
  ['NUL in the address', '/members/%00', undefined, 'notReadable'],
  ['an address that ends in the middle of a character', '/members/%E0%A4%A', undefined, 'notReadable'],
])('%s', (_, url, body, want) => expect(said(url, body)).toBe(want))
