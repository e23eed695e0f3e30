import { createHash, randomBytes, randomInt } from 'node:crypto'

/** A secret for a link: too long to be guessed. */
export const newToken = (): string => randomBytes(24).toString('base64url')

/** All that is kept of a secret. It is random, so nothing is gained by a slow hash. */
export const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Letters and figures that nobody takes for one another. */
const alphabet = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'

/** A code that a person reads off one screen and types on another: "K7QF-2M9X". */
export const newCode = (): string =>
  Array.from({ length: 8 }, (_, i) => (i === 4 ? '-' : '') + alphabet[randomInt(alphabet.length)]).join('')

/** A code as it was meant, however it was typed. */
export const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '')
