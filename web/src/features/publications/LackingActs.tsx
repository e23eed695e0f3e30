import type { ImpactLine } from '@young-oak/api/publications'
import { sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { toast } from '../../ui/toast.ts'
import { publicationsApi } from './publicationsApi.ts'
import { countOf } from './sayPublication.ts'

type Props = {
  lines: ImpactLine[]
  /** What is known of these members has changed. */
  onChanged: () => void
}

/** What can be done for all members who lack maxes: accept what training suggests, or ask them. */
export function LackingActs({ lines, onChanged }: Props) {
  const [accept, accepting] = publicationsApi.useAcceptEstimatesMutation()
  const [ask, asking] = publicationsApi.useAskForMaxesMutation()
  const rows = lines.map(({ id, impact }) => ({ member: id, lifts: impact.needs }))
  const given = { rows, today: today() }
  const take = async () => {
    const { data, error } = await accept(given)
    if (error) return toast.error(sayError(error))
    const still = data.without ? ` ${countOf(data.without)} without an estimate of some lift.` : ''
    toast(
      data.stored ? `Estimates accepted as maxes: ${data.stored}.${still}` : 'No estimate from training yet.',
    )
    if (data.stored) onChanged()
  }
  const send = async () => {
    const { data, error } = await ask(given)
    if (error) toast.error(sayError(error))
    else toast(`Asked ${countOf(data.asked)} for maxes: once a day.`)
  }
  return (
    <>
      <Button look="quiet" className="text-sm" disabled={accepting.isLoading} onClick={() => void take()}>
        Accept estimates from training
      </Button>
      <Button look="quiet" className="text-sm" disabled={asking.isLoading} onClick={() => void send()}>
        Ask for maxes
      </Button>
    </>
  )
}
