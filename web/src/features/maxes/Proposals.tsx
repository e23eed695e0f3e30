import { useLibrary } from '../library/useLibrary.ts'
import { toast } from '../../ui/toast.ts'
import type { ProposedMax } from '@young-oak/api/maxes'
import { liftName, maxName } from '@young-oak/core/library'
import { defaultFormula, formulaOf } from '@young-oak/core/maxes'
import { formatDay, formatLoad } from '@young-oak/core/units'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { waitsWords } from '../../offline/enter.ts'
import { saySet } from './saySet.ts'
import { useGiveLoad } from './useGiveLoad.ts'

/** Estimates from training and lower tests change nothing by themselves: each is a proposal, accepted or left. */
export function Proposals({ proposals, member }: { proposals: ProposedMax[]; member?: string }) {
  const library = useLibrary()
  const { give, isLoading } = useGiveLoad(member)
  const accept = async (proposal: ProposedMax) => {
    const { exercise, variant, date, load, from, how } = proposal
    const lift = { exercise, ...(variant && { variant }) }
    const { body: _, ...set } = from ?? { load, reps: 1 }
    const isLower = how !== 'estimate'
    const given = {
      ...lift,
      ...set,
      ...(isLower && { accepted: true as const }),
      formula: defaultFormula,
      date,
      today: today(),
    }
    const entered = await give({ kind: 'max', given })
    if (entered.result === 'refused') toast.error(entered.reason)
    else if (entered.result === 'waits') toast(waitsWords)
    else toast(`${liftName(library, proposal)}: ${formatLoad(proposal.load)} is used from your next session.`)
  }
  return (
    <>
      <h2 className="mt-8 text-xl">Estimated maxes to accept</h2>
      <p className="text-sm text-bark">
        Estimates from training by {formulaOf[defaultFormula].title}, and tests below the max in use. No load
        changes until you accept.
      </p>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {proposals.map((proposal) => (
          <li key={`${liftName(library, proposal)}/${proposal.how}`} className="flex items-center gap-3 py-2">
            <span className="grow">
              {maxName(library, proposal)}{' '}
              <span className="font-serif font-semibold">{formatLoad(proposal.load)}</span>
              <span className="block text-sm text-bark">
                {proposal.from ? saySet(proposal.from) : 'a test below the max in use'} on{' '}
                {formatDay(proposal.date)}
                {proposal.how === 'lower estimate' && ', below the max in use'}
              </span>
            </span>
            <Button
              look="plain"
              className="min-h-11"
              disabled={isLoading}
              onClick={() => void accept(proposal)}
            >
              Accept
            </Button>
          </li>
        ))}
      </ul>
    </>
  )
}
