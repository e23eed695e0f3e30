import type { KeyboardEvent } from 'react'

type Props<T extends string> = {
  label: string
  /** Their ids begin with it. */
  id: string
  tabs: readonly T[]
  titles: Record<T, string>
  chosen: T
  panel?: string
  className?: string
  onChoose: (tab: T) => void
}

/** A row of tabs, of which one has the keyboard; the arrows choose. */
export function TabRow<T extends string>({
  label,
  id,
  tabs,
  titles,
  chosen,
  panel,
  className = '',
  onChoose,
}: Props<T>) {
  const press = (event: KeyboardEvent, tab: T) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
    if (!by) return
    event.preventDefault()
    const next = tabs[(tabs.indexOf(tab) + by + tabs.length) % tabs.length] as T
    onChoose(next)
    document.getElementById(`${id}-${next}`)?.focus()
  }
  return (
    <div
      role="tablist"
      aria-label={label}
      className={`flex flex-wrap gap-x-1 border-b border-line ${className}`}
    >
      {tabs.map((tab) => (
        <button
          key={tab}
          type="button"
          role="tab"
          id={`${id}-${tab}`}
          aria-selected={tab === chosen}
          {...(panel && { 'aria-controls': panel })}
          tabIndex={tab === chosen ? 0 : -1}
          onClick={() => onChoose(tab)}
          onKeyDown={(event) => press(event, tab)}
          className={`-mb-px min-h-9 border-b-2 px-0.5 ${tab === chosen ? 'border-leaf font-semibold' : 'border-transparent text-bark hover:text-ink'}`}
        >
          {titles[tab]}
        </button>
      ))}
    </div>
  )
}
