/** Minted once, never reused; moving keeps it, copying mints a new one. */
export type Id = string

/** Most characters of an id that is minted, and of one that is made of others: a session's, a set's. */
export const idLength = { minted: 80, made: 200 } as const

/** Ids are keys of plain objects, so the names that every object has already are none. */
export const isId = (text: unknown, most: number = idLength.minted): text is Id =>
  typeof text === 'string' && /^[\w.:-]+$/.test(text) && text.length <= most && !(text in Object.prototype)
