import { useDraggable, useDroppable } from '@dnd-kit/core'
import type { CSSProperties, ReactNode } from 'react'

type Dragged = { id: string; data?: object; over: { id: string; data: object } }

/**
 * A head that is dragged by its handle, and takes what is dropped on it. `own` goes on the head; `isOver` where something else is held
 * over it.
 */
export function useDragged({ id, data, over }: Dragged) {
  const { setNodeRef, listeners, attributes, isDragging, transform } = useDraggable({ id, data })
  const { setNodeRef: setDropRef, isOver } = useDroppable(over)
  const style: CSSProperties | undefined = transform
    ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 30, position: 'relative' }
    : undefined
  return {
    own: { ref: setDropRef, style },
    isOver: isOver && !isDragging,
    handle: { ref: setNodeRef, ...listeners, ...attributes },
  }
}

type HandleProps = {
  handle: ReturnType<typeof useDragged>['handle']
  label: string
  title: string
  className: string
  children: ReactNode
}

/** The letter or number by which something is dragged; the keyboard has keys of its own for it. */
export const DragHandle = ({ handle, label, title, className, children }: HandleProps) => (
  <span
    {...handle}
    tabIndex={-1}
    role={undefined}
    aria-hidden
    data-handle={label}
    title={title}
    className={`cursor-grab touch-none text-bark ${className}`}
  >
    {children}
  </span>
)
