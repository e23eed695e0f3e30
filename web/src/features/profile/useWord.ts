import { useState } from 'react'
import { useGive } from '../progress/useGive.ts'

/**
 * Something that a member has said as a whole, with what was chosen here on top of it: shown at once, so that quick answers add up, and given back where
 * it was refused.
 */
export function useWord<T extends object>(kind: string, known: T, member: string | undefined) {
  const { give } = useGive(member)
  const [own, setOwn] = useState<T | null>(null)
  const said = own ?? known
  const put = async (change: Partial<T>): Promise<void> => {
    const next = { ...said, ...change }
    setOwn(next)
    if (!(await give({ kind, ...next }, 'Saved.'))) setOwn(null)
  }
  return { said, put: (change: Partial<T>) => void put(change) }
}
