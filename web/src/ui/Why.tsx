import { lazy, Suspense, useState, type ComponentProps } from 'react'
import type { WhyStep } from '@young-oak/core/words'

type Props = ComponentProps<'button'> & {
  /** The load that is explained. */
  title: string
  steps: WhyStep[]
  /** What is read out in its place, where more is shown than the load: "3 × 5 @ 110 kg". */
  says?: string
}

const Ladder = lazy(() => import('./WhyLadder.tsx'))

/** A load that says why: its ladder from the max to the plates, on a click or a key. The ladder is loaded when it is first asked for. */
export function Why({ title, steps, says = title, children, className = '', ...rest }: Props) {
  const [isAsked, setAsked] = useState(false)
  if (!steps.length) return <span className={className}>{children}</span>
  const trigger = (
    <button
      type="button"
      aria-haspopup="dialog"
      aria-label={`${says}: how it was worked out`}
      className={`rounded underline decoration-edge decoration-dotted underline-offset-4 hover:decoration-leaf ${className}`}
      {...rest}
      onClick={isAsked ? undefined : () => setAsked(true)}
    >
      {children}
    </button>
  )
  if (!isAsked) return trigger
  return (
    <Suspense fallback={trigger}>
      <Ladder title={title} steps={steps} trigger={trigger} />
    </Suspense>
  )
}
