import { useState } from 'react'
import type { GivenBodyWeight, GivenMax } from '@young-oak/api/maxes'
import { nextFactId } from '@young-oak/api/factId'
import { api } from '../../app/api.ts'
import { enter, enteredFor, type Entered } from '../../offline/enter.ts'

type Load = { kind: 'max'; given: GivenMax } | { kind: 'bodyWeight'; given: GivenBodyWeight }

/** Enters a max or a body weight: the member's own, which waits on their phone where there is no signal, or for a member of the writer's. */
export function useGiveLoad(member?: string) {
  const [giveMax] = api.useGiveMaxMutation()
  const [giveBodyWeight] = api.useGiveBodyWeightMutation()
  const [isLoading, setLoading] = useState(false)
  const forMember = async (load: Load): Promise<Entered> => {
    const { kind, given } = load
    return enteredFor(await (kind === 'max' ? giveMax({ given, member }) : giveBodyWeight({ given, member })))
  }
  return {
    isLoading,
    async give(load: Load): Promise<Entered> {
      setLoading(true)
      try {
        return member === undefined ? await enter({ ...load, entry: nextFactId() }) : await forMember(load)
      } finally {
        setLoading(false)
      }
    },
  }
}
