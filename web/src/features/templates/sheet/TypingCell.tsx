import { useLibrary } from '../../library/useLibrary.ts'
import { useEffect, useRef } from 'react'
import { liftName } from '@young-oak/core/library'
import { Aside } from './Aside.tsx'
import type { LineActs } from './lineActs.ts'
import type { Typing } from './acts/index.ts'

const listId = 'sheet-exercises'
const understoodId = 'sheet-understood'
const optionId = (i: number): string => `sheet-exercise-${i}`
const hasOthers = ({ found = [] }: Typing): boolean => found.length > 1

type TypingProps = { name: string; width: string; typing: Typing; onAct: LineActs }

/** A cell while it is typed into. */
export function TypingCell({ name, width, typing, onAct }: TypingProps) {
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => {
    input.current?.focus()
    if (!typing.replaced) input.current?.select()
    // Only when the cell is opened: later keys must not select what was typed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])
  // A line typed into a narrow cell needs room to be read.
  const isLong = typing.text.length > 6 && width !== 'w-full'
  return (
    <span role="gridcell" className={width === 'w-full' ? 'block w-full' : ''}>
      <input
        ref={input}
        role="combobox"
        aria-label={name}
        aria-autocomplete="list"
        aria-expanded={hasOthers(typing)}
        aria-controls={hasOthers(typing) ? listId : undefined}
        aria-activedescendant={hasOthers(typing) ? optionId(typing.pick ?? 0) : undefined}
        aria-describedby={understoodId}
        aria-invalid={Boolean(typing.error)}
        value={typing.text}
        onChange={(event) => onAct({ do: 'type', text: event.target.value })}
        onBlur={() => onAct({ do: 'leave' })}
        className={`h-7 rounded-sm border bg-paper px-0.5 ${isLong ? 'w-56 text-left' : width} ${typing.error ? 'border-brick' : 'border-leaf'}`}
      />
    </span>
  )
}

/** What the words come to, or what is wrong with them; and what else they may mean. */
export const Understood = (props: UnderstoodProps) => (
  <Aside>
    <Words {...props} />
  </Aside>
)

type UnderstoodProps = { typing: Typing; onAct: LineActs }

function Words({ typing, onAct }: UnderstoodProps) {
  const library = useLibrary()
  const { error, unknown, understood, found = [], pick = 0 } = typing
  const adds = unknown !== undefined && <AddUnknown name={unknown} onAct={onAct} />
  if (error !== undefined)
    return (
      <p
        id={understoodId}
        role="alert"
        className="my-1 ml-4 rounded bg-brick-wash px-2 py-1 text-sm text-brick"
      >
        {error} {adds}
      </p>
    )
  if (adds)
    return (
      <p id={understoodId} role="status" className="my-1 ml-4 text-xs text-bark">
        No exercise is called “{unknown}”. {adds}
      </p>
    )
  if (!understood) return null
  return (
    <div className="my-1 ml-4 text-xs text-bark">
      <p id={understoodId} role="status" className="text-leaf">
        {understood}
      </p>
      {hasOthers(typing) && (
        <>
          <p aria-hidden>Arrow down for another exercise:</p>
          <ul id={listId} role="listbox" aria-label="Exercises that the words may mean">
            {found.map((id, i) => (
              <li
                key={id}
                id={optionId(i)}
                role="option"
                aria-selected={i === pick}
                className={i === pick ? 'font-medium text-ink' : ''}
              >
                {liftName(library, { exercise: id })}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}

/** The way to an exercise that is not there yet; the words stay where they are. */
const AddUnknown = ({ name, onAct }: { name: string; onAct: LineActs }) => (
  <button
    type="button"
    tabIndex={-1}
    onMouseDown={(event) => event.preventDefault()}
    onClick={() => onAct({ do: 'newExercise', name })}
    className="underline underline-offset-4"
  >
    Alt + N adds the exercise to your gym’s own.
  </button>
)
