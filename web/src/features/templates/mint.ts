import type { Id } from '@young-oak/core/parsing'

let last = 0

/** An id that was never used. Later ones sort behind earlier ones, so that maps by id keep the order in which things were made. */
export function mint(): Id {
  last = Math.max(Date.now(), last + 1)
  return `${last.toString(36).padStart(9, '0')}-${crypto.randomUUID().slice(0, 13)}`
}
