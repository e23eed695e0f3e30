import { useLibrary } from '../../library/useLibrary.ts'
import { useEffect, useRef } from 'react'
import { liftName, type ExerciseId } from '@young-oak/core/library'
import type { LineActs } from './lineActs.ts'
import type { Typing } from './typing.ts'

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
    <input
      ref={input}
      aria-label={name}
      aria-invalid={Boolean(typing.error)}
      value={typing.text}
      onChange={(event) => onAct({ do: 'type', text: event.target.value })}
      onBlur={() => onAct({ do: 'leave' })}
      className={`h-7 rounded-sm border bg-paper px-0.5 ${isLong ? 'w-56 text-left' : width} ${typing.error ? 'border-brick' : 'border-leaf'}`}
    />
  )
}

/** What the words come to, or what is wrong with them; and what else they may mean. */
export function Understood({ typing, onAct }: { typing: Typing; onAct: LineActs }) {
  const library = useLibrary()
  const { error, unknown, understood, found = [], pick = 0 } = typing
  const adds = unknown !== undefined && <AddUnknown name={unknown} onAct={onAct} />
  if (error !== undefined)
    return (
      <p role="alert" className="my-1 ml-4 rounded bg-brick-wash px-2 py-1 text-sm text-brick">
        {error} {adds}
      </p>
    )
  if (adds)
    return (
      <p className="my-1 ml-4 text-xs text-bark">
        No exercise is called “{unknown}”. {adds}
      </p>
    )
  if (!understood) return null
  const others = found.filter((_, i) => i !== pick)
  return (
    <p className="my-1 ml-4 text-xs text-bark">
      <span className="text-leaf">{understood}</span>
      {others.length > 0 && (
        <span>
          {' '}
          Down for: {others.map((id: ExerciseId) => liftName(library, { exercise: id })).join(', ')}
        </span>
      )}
    </p>
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
