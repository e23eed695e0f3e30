import { useState, type ButtonHTMLAttributes, type SyntheticEvent } from 'react'
import { createPortal } from 'react-dom'

/** An icon with a name: read aloud, and shown when pointed at or focused by a key. */
export function IconButton({ label, ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { label: string }) {
  const [at, setAt] = useState<{ left: number; top: number } | null>(null)
  const show = ({ currentTarget }: SyntheticEvent) => {
    const { left, width, bottom } = currentTarget.getBoundingClientRect()
    // Half of the longest name keeps clear of the edges.
    const middle = Math.min(Math.max(left + width / 2, 110), innerWidth - 110)
    setAt({ left: middle, top: bottom + 4 })
  }
  const hide = () => setAt(null)
  return (
    <>
      <button
        type="button"
        aria-label={label}
        className="grid size-11 place-items-center rounded-md text-bark hover:bg-leaf-wash hover:text-ink disabled:opacity-40"
        onPointerEnter={show}
        onPointerLeave={hide}
        onFocus={(event) => event.currentTarget.matches(':focus-visible') && show(event)}
        onBlur={hide}
        onKeyDown={({ key }) => key === 'Escape' && hide()}
        {...rest}
      />
      {at &&
        createPortal(
          <span
            aria-hidden
            style={at}
            className="pointer-events-none fixed z-50 -translate-x-1/2 rounded bg-ink px-2 py-1 text-sm whitespace-nowrap text-paper"
          >
            {label}
          </span>,
          document.body,
        )}
    </>
  )
}
