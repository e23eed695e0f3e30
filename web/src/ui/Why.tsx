import { useState, type ComponentProps } from 'react'
import type { WhyStep } from '@young-oak/core/words'
import { onDemand } from './onDemand.tsx'

type Props = ComponentProps<'button'> & {
  /** The load that is explained. */
  title: string
  steps: WhyStep[]
  /** What is read out in its place, where more is shown than the load: "3 × 5 @ 110 kg". */
  says?: string
}

const Ladder = onDemand(() => import('./WhyLadder.tsx'))

/** A load that says why: its ladder from the max to the plates, on a click or a key. The ladder is loaded when it is first asked for. */
export function Why({ title, steps, says = title, children, className = '', ...rest }: Props) {
  const [isAsked, setAsked] = useState(false)
  if (!steps.length) return <span className={className}>{children}</span>
  const trigger = (onClick?: () => void) => (
    <button
      type="button"
      aria-haspopup="dialog"
      aria-label={`${says}: how it was worked out`}
      className={`rounded text-left underline decoration-edge decoration-dotted underline-offset-4 hover:decoration-leaf ${className}`}
      {...rest}
      onClick={onClick}
    >
      {children}
    </button>
  )
  if (!isAsked) return trigger(() => setAsked(true))
  // Where the ladder could not be loaded, the next click but one tries again.
  return <Ladder fallback={trigger(() => setAsked(false))} of={{ title, steps, trigger: trigger() }} />
}
