import { Popover } from 'radix-ui'
import { useId, type ReactElement } from 'react'
import type { WhyStep } from '@young-oak/core/words'
import { explain } from '@young-oak/core/explain'
import { sentence } from './sentence.ts'

type Props = { title: string; steps: WhyStep[]; trigger: ReactElement }

/** The steps to a load, open at once; the keyboard goes back to what it hangs on. */
export default function WhyLadder({ title, steps, trigger }: Props) {
  const id = useId()
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
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
