import { Command } from 'cmdk'
import { ChevronDown } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useId, useState, type ReactNode } from 'react'

export type Found<T extends string> = { value: T; said: string }

type Props<T extends string> = {
  label: string
  /** The label is read out but not shown, where what stands around it says as much. */
  isBare?: true
  /** What is chosen, in words; null before anything is. */
  chosen: string | null
  /** What is shown before one is chosen; choosing it again takes the choice away where `isOptional`. */
  placeholder: string
  isOptional?: true
  /** What can be typed, as the line that is typed into says it. */
  typing: string
  /** What is said where nothing fits what was typed. */
  nothing: string
  find: (words: string) => Found<T>[]
  hint?: string | undefined
  error?: string | undefined
  className?: string
  onChoose: (to: T | '') => void
}

/** One of many: opened, then found by typing. */
export function Finder<T extends string>({
  label,
  isBare,
  chosen,
  placeholder,
  hint,
  error,
  className = 'min-h-11 w-full min-w-44 px-3',
  ...list
}: Props<T>) {
  const id = useId()
  const [isOpen, setOpen] = useState(false)
  return (
    <div className="min-w-0">
      <span id={`${id}-label`} className={isBare ? 'sr-only' : 'mb-1 block text-sm font-medium'}>
        {label}
      </span>
      <Popover.Root open={isOpen} onOpenChange={setOpen} modal>
        <Popover.Trigger
          id={id}
          role="combobox"
          aria-expanded={isOpen}
          aria-haspopup="listbox"
          aria-labelledby={`${id}-label ${id}`}
          aria-describedby={hint || error ? `${id}-note` : undefined}
          className={`flex items-center justify-between gap-2 rounded-md border bg-sheet text-left text-ink ${error ? 'border-brick' : 'border-edge'} ${className}`}
        >
          <span className={`truncate ${chosen ? '' : 'text-bark'}`}>{chosen ?? placeholder}</span>
          <ChevronDown size={16} aria-hidden className="shrink-0" />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={4}
            aria-label={label}
            className="z-60 w-[max(var(--radix-popover-trigger-width),18rem)] rounded-md border border-edge bg-sheet p-2 text-ink shadow"
          >
            <FoundList label={label} placeholder={placeholder} {...list} onClose={() => setOpen(false)} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {(error || hint) && (
        <p id={`${id}-note`} className={`mt-1 text-sm ${error ? 'text-brick' : 'text-bark'}`}>
          {error ?? hint}
        </p>
      )}
    </div>
  )
}

type ListProps<T extends string> = Pick<
  Props<T>,
  'label' | 'placeholder' | 'isOptional' | 'typing' | 'nothing' | 'find' | 'onChoose'
> & { onClose: () => void }

/** The line that is typed into, and below it what fits. */
function FoundList<T extends string>({
  label,
  placeholder,
  isOptional,
  typing,
  nothing,
  find,
  onChoose,
  onClose,
}: ListProps<T>) {
  const [words, setWords] = useState('')
  const choose = (to: T | '') => {
    onClose()
    onChoose(to)
  }
  return (
    <Command shouldFilter={false} label={`Find: ${label}`} loop>
      <Command.Input
        autoFocus
        value={words}
        onValueChange={setWords}
        placeholder={typing}
        className="min-h-11 w-full rounded-md border border-edge bg-paper px-3"
      />
      <Command.List className="mt-2 max-h-64 overflow-y-auto">
        <Command.Empty className="p-2 text-bark">{nothing}</Command.Empty>
        {isOptional && placeholder.toLowerCase().startsWith(words.trim().toLowerCase()) && (
          <Item value="none" onSelect={() => choose('')}>
            {placeholder}
          </Item>
        )}
        {find(words.trim()).map(({ value, said }) => (
          <Item key={value} value={value} onSelect={() => choose(value)}>
            {said}
          </Item>
        ))}
      </Command.List>
    </Command>
  )
}

type ItemProps = { value: string; onSelect: () => void; children: ReactNode }

const Item = ({ value, onSelect, children }: ItemProps) => (
  <Command.Item
    value={value}
    onSelect={onSelect}
    className="cursor-pointer rounded px-2 py-1.5 data-[selected=true]:bg-leaf-wash"
  >
    {children}
  </Command.Item>
)
