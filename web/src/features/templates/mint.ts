import type { Id } from '@young-oak/core/template'

/** An id that was never used. */
export const mint = (): Id => crypto.randomUUID()
