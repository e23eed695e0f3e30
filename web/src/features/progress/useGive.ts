import { useState } from 'react'
import { toast } from '../../ui/toast.ts'
import { api } from '../../app/api.ts'
import { nextFactId } from '@young-oak/api/factId'
import { today } from '../../app/today.ts'
import { enter, enteredFor, waitsWords, type Entered } from '../../offline/enter.ts'

/**
 * Enters a fact of the member, and says what came of it; false where it was refused, so that nothing typed is lost. What a member enters
 * themselves waits on their phone where there is no signal.
 */
export function useGive(member?: string) {
  const [giveFor] = api.useGiveFactMutation()
  const [takeFor] = api.useTakeBackMutation()
  const [isBusy, setBusy] = useState(false)
  const say = async (entering: Promise<Entered>, said: string): Promise<boolean> => {
    setBusy(true)
    const entered = await entering.finally(() => setBusy(false))
    if (entered.result === 'refused') toast.error(entered.reason)
    else toast(entered.result === 'waits' ? waitsWords : said)
    return entered.result !== 'refused'
  }
  return {
    isBusy,
    give(fact: { kind: string } & Record<string, unknown>, said: string): Promise<boolean> {
      const given = { fact, today: today() }
      return say(
        member === undefined
          ? enter({ kind: 'fact', entry: nextFactId(), given })
          : giveFor({ fact, day: today(), member }).then(enteredFor),
        said,
      )
    },
    async takeBack(id: string, said = 'Taken back.'): Promise<void> {
      await say(
        member === undefined
          ? enter({ kind: 'takeBack', entry: id, today: today() })
          : takeFor({ id, day: today(), member }).then(enteredFor),
        said,
      )
    },
  }
}
