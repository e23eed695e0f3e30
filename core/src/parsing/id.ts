/** Minted once, never reused; moving keeps it, copying mints a new one. */
export type Id = string

/** Ids are keys of plain objects, so the names that every object has already are none. */
export const isId = (text: unknown): text is Id =>
  typeof text === 'string' && /^[\w.:-]{1,80}$/.test(text) && !(text in Object.prototype)
