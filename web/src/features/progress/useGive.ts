import { toast } from '../../ui/toast.ts'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'

/** Enters a fact of the member, and says what came of it; false where it was not stored, so that nothing typed is lost. */
export function useGive(member?: string) {
  const [give, { isLoading: isGiving }] = api.useGiveFactMutation()
  const [take, { isLoading: isTaking }] = api.useTakeBackMutation()
  return {
    isBusy: isGiving || isTaking,
    async give(fact: { kind: string } & Record<string, unknown>, said: string): Promise<boolean> {
      const answer = await give({ fact, day: today(), member })
      if (answer.error) toast.error(sayError(answer.error))
      else toast(said)
      return !answer.error
    },
    async takeBack(id: string, said = 'Taken back.'): Promise<void> {
      const answer = await take({ id, day: today(), member })
      if (answer.error) toast.error(sayError(answer.error))
      else toast(said)
    },
  }
}
