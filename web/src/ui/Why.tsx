import { Popover } from 'radix-ui'
import { useId, type ComponentProps } from 'react'
import type { WhyStep } from '@young-oak/core/words'
import { explain } from '@young-oak/core/explain'

type Props = ComponentProps<'button'> & {
  /** The load that is explained. */
  title: string
  steps: WhyStep[]
  /** What is read out in its place, where more is shown than the load: "3 × 5 @ 110 kg". */
  says?: string
}

/** A load that says why: its ladder from the max to the plates, on a click or a key. */
export function Why({ title, steps, says = title, children, className = '', ...trigger }: Props) {
  const id = useId()
  if (!steps.length) return <span className={className}>{children}</span>
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${says}: how it was worked out`}
        className={`rounded underline decoration-edge decoration-dotted underline-offset-4 hover:decoration-leaf ${className}`}
        {...trigger}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-labelledby={id}
          sideOffset={6}
          collisionPadding={12}
          className="z-50 w-[min(24rem,92vw)] rounded-lg border border-edge bg-sheet p-4 text-ink"
        >
          <p id={id} className="font-serif font-semibold">
            How {title} was worked out
          </p>
          <ol className="mt-2 border-l-2 border-leaf">
            {steps.map((step, i) => (
              <li
                key={i}
                className="relative py-1 pl-4 text-sm before:absolute before:top-[0.85rem] before:left-0 before:h-px before:w-2.5 before:bg-leaf"
              >
                {sentence(explain(step))}
              </li>
            ))}
          </ol>
          <Popover.Arrow className="fill-edge" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** The text as a sentence begins. */
export const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
