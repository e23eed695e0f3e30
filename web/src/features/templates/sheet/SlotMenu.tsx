import { EllipsisVertical } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import type { Aspect } from '../inspector/selected.ts'
import { sheetKeys, type SheetAct } from './sheetKeys.ts'

type Props = { lift: string; onAct: (act: SheetAct) => void; onInspect: (what: Aspect) => void }

/** What can be done with a slot as a whole by the pointer; each is a key of the sheet as well. */
export function SlotMenu({ lift, onAct, onInspect }: Props) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
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
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          <Item onSelect={() => onInspect('slot')}>Details: tempo, sides, bands…</Item>
          <Item onSelect={() => onInspect('progression')}>Progression and rotation…</Item>
          {pointed.map(({ say, act }) => (
            <Item key={say} keys={keysOf(act)} onSelect={() => onAct(act)}>
              {say}
            </Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

const pointed: { say: string; act: SheetAct }[] = [
  { say: 'Change the exercise', act: 'open' },
  { say: 'One more line of sets', act: 'moreSets' },
  { say: 'Copy below', act: 'copySlot' },
  { say: 'Move up', act: 'up' },
  { say: 'Move down', act: 'down' },
  { say: 'Remove from superset', act: 'part' },
  { say: 'Remove this exercise', act: 'clear' },
]

const keysOf = (act: SheetAct): string => {
  const known = sheetKeys.find((one) => one.act === act)
  return known?.keys[0]?.replace('Arrow', '').replace(/\+/g, ' + ') ?? ''
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
