import { EllipsisVertical } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useRef } from 'react'
import type { Aspect } from '../inspector/selected.ts'
import { acts, keyOf, type Act, type ActName } from './acts/index.ts'

type Props = {
  /** Names the menu for the key that opens it. */
  id: string
  lift: string
  onAct: (act: ActName) => void
  onInspect: (what: Aspect) => void
  /** Closed without a choice. */
  onLeave: () => void
}

/** What can be done with an exercise as a whole; Shift + F10 opens it from the line. */
export function SlotMenu({ id, lift, onAct, onInspect, onLeave }: Props) {
  // What was chosen takes the keyboard where it acts; a menu that was only closed gives it back.
  const isChosen = useRef(false)
  const choose = (act: () => void) => () => {
    isChosen.current = true
    act()
  }
  return (
    <DropdownMenu.Root
      onOpenChange={(isOpen) => {
        if (isOpen) isChosen.current = false
      }}
    >
      <DropdownMenu.Trigger
        data-menu={id}
        aria-label={`More for ${lift}`}
        tabIndex={-1}
        className="rounded p-1 text-bark hover:bg-leaf-wash"
      >
        <EllipsisVertical size={15} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="z-50 rounded-md border border-edge bg-sheet p-1 text-ink shadow"
          onKeyDown={(event) => event.stopPropagation()}
          onCloseAutoFocus={(event) => {
            event.preventDefault()
            if (!isChosen.current) onLeave()
          }}
        >
          <Item onSelect={choose(() => onInspect('slot'))}>Details: tempo, sides, bands…</Item>
          <Item onSelect={choose(() => onInspect('progression'))}>Progression and rotation…</Item>
          {acts.map((act: Act & { name: ActName }) =>
            act.inMenu === undefined ? null : (
              <Item key={act.name} keys={keyOf(act)} onSelect={choose(() => onAct(act.name))}>
                {act.inMenu}
              </Item>
            ),
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

type ItemProps = { onSelect: () => void; keys?: string; children: string }

const Item = ({ onSelect, keys, children }: ItemProps) => (
  <DropdownMenu.Item
    onSelect={onSelect}
    className="flex cursor-pointer justify-between gap-6 rounded px-3 py-1.5 data-highlighted:bg-leaf-wash"
  >
    {children}
    {keys && <span className="text-sm text-bark">{keys}</span>}
  </DropdownMenu.Item>
)
