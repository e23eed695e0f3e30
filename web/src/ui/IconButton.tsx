import { Tooltip } from 'radix-ui'
import type { ButtonHTMLAttributes } from 'react'

/** An icon with a name: read aloud, and shown when pointed at or focused. */
export function IconButton({ label, ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { label: string }) {
  return (
    <Tooltip.Provider delayDuration={300}>
      <Tooltip.Root>
        <Tooltip.Trigger asChild>
          <button
            type="button"
            aria-label={label}
            className="grid size-11 place-items-center rounded-md text-bark hover:bg-leaf-wash hover:text-ink disabled:opacity-40"
            {...rest}
          />
        </Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content sideOffset={4} className="z-50 rounded bg-ink px-2 py-1 text-sm text-paper">
            {label}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  )
}
