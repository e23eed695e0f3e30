import { Command } from 'cmdk'
import { ChevronDown } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useId, useState } from 'react'
import {
  exercisesAtHand,
  findExercises,
  isExercise,
  liftName,
  type ExerciseId,
} from '@young-oak/core/library'
import { useLibrary } from './useLibrary.ts'

type Props = {
  label: string
  /** The label is read out but not shown, where what stands around it says as much. */
  isBare?: true
  value: string
  /** What is shown before one is chosen; choosing it again takes the choice away where `isOptional`. */
  placeholder: string
  isOptional?: true
  fits: (id: ExerciseId) => boolean
  hint?: string
  error?: string
  onChoose: (id: ExerciseId | '') => void
}

/** One exercise of many: opened, then found by any word of its name, a muscle or a pattern, as in the sheet. */
export function ExercisePicker({
  label,
  isBare,
  value,
  placeholder,
  isOptional,
  fits,
  hint,
  error,
  onChoose,
}: Props) {
  const library = useLibrary()
  const id = useId()
  const [isOpen, setOpen] = useState(false)
  const [words, setWords] = useState('')
  const found = (words.trim() ? findExercises(library, words) : exercisesAtHand(library)).filter(fits)
  const chosen = isExercise(library, value) ? liftName(library, { exercise: value }) : null
  const choose = (to: ExerciseId | '') => {
    setOpen(false)
    setWords('')
    onChoose(to)
  }
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
          className={`flex min-h-11 w-full min-w-44 items-center justify-between gap-2 rounded-md border bg-sheet px-3 text-left text-ink ${error ? 'border-brick' : 'border-edge'}`}
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
            <Command shouldFilter={false} label={`Find: ${label}`} loop>
              <Command.Input
                autoFocus
                value={words}
                onValueChange={setWords}
                placeholder="a name, a muscle, a pattern"
                className="min-h-11 w-full rounded-md border border-edge bg-paper px-3"
              />
              <Command.List className="mt-2 max-h-64 overflow-y-auto">
                <Command.Empty className="p-2 text-bark">No exercise fits. Remove a word.</Command.Empty>
                {isOptional && !words.trim() && (
                  <Item value="none" onSelect={() => choose('')}>
                    {placeholder}
                  </Item>
                )}
                {found.map((one) => (
                  <Item key={one} value={one} onSelect={() => choose(one)}>
                    {liftName(library, { exercise: one })}
                  </Item>
                ))}
              </Command.List>
            </Command>
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

type ItemProps = { value: string; onSelect: () => void; children: string }

const Item = ({ value, onSelect, children }: ItemProps) => (
  <Command.Item
    value={value}
    onSelect={onSelect}
    className="cursor-pointer rounded px-2 py-1.5 data-[selected=true]:bg-leaf-wash"
  >
    {children}
  </Command.Item>
)
