import { useState } from 'react'
import { Field } from '../../../ui/Field.tsx'

type Props = {
  label: string
  value: string
  hint?: string
  inputMode?: 'numeric' | 'decimal'
  placeholder?: string
  className?: string
  /** Has the keyboard at once, with all of it selected: it names what was just made. */
  isNew?: boolean
  /** Keeps what was typed; returns what is wrong with it, or nothing. */
  onSave: (typed: string) => string | undefined
}

/** A field that is kept when it is left or with Enter, and takes over what is changed elsewhere. */
export function SavedField({ value, isNew, onSave, ...rest }: Props) {
  const [typed, setTyped] = useState(value)
  const [was, setWas] = useState(value)
  const [fault, setFault] = useState<string>()
  if (was !== value) {
    setWas(value)
    setTyped(value)
    setFault(undefined)
  }
  const save = () => setFault(typed.trim() === value ? undefined : onSave(typed.trim()))
  return (
    <Field
      {...rest}
      value={typed}
      error={fault}
      autoFocus={isNew}
      onFocus={isNew ? ({ target }) => target.select() : undefined}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={save}
      onKeyDown={(event) => {
        if (event.key === 'Enter') save()
        if (event.key !== 'Escape') return
        setTyped(value)
        setFault(undefined)
      }}
    />
  )
}
