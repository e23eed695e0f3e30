import { useState, type ButtonHTMLAttributes, type CSSProperties, type SyntheticEvent } from 'react'
import { createPortal } from 'react-dom'

/** An icon with a name: read aloud, and shown when pointed at or focused by a key. */
export function IconButton({ label, ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { label: string }) {
  const [at, setAt] = useState<CSSProperties | null>(null)
  const show = ({ currentTarget }: SyntheticEvent) => setAt(below(currentTarget.getBoundingClientRect()))
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
            className="pointer-events-none fixed z-50 rounded bg-ink px-2 py-1 text-sm whitespace-nowrap text-paper"
          >
            {label}
          </span>,
          document.body,
        )}
    </>
  )
}

/** Under the middle of a button; under its edge where half of the longest name has no room beside it. */
function below({ left, right, width, bottom }: DOMRect): CSSProperties {
  const top = bottom + 4
  const middle = left + width / 2
  if (middle < half) return { top, left }
  if (middle > innerWidth - half) return { top, right: document.documentElement.clientWidth - right }
  return { top, left: middle, transform: 'translateX(-50%)' }
}
const half = 110
