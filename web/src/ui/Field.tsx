import { useId, type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes } from 'react'

export type Common = { label: string; error?: string | undefined; hint?: ReactNode }
const box = 'min-h-11 w-full rounded-md border bg-sheet px-3 text-ink'

/** A labelled input whose error stands beside it, in words; what was typed is never removed. */
export function Field({
  label,
  error,
  hint,
  className = '',
  ...rest
}: Common & InputHTMLAttributes<HTMLInputElement>) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className} about={rest['aria-describedby']}>
      {(ids) => <input {...rest} {...ids} className={`${box} ${error ? 'border-brick' : 'border-edge'}`} />}
    </Labelled>
  )
}

/** A choice by the phone's own wheel, for the screens of members; the writer's are `SelectField`. */
export function PhoneSelect({
  label,
  error,
  hint,
  className = '',
  ...rest
}: Common & SelectHTMLAttributes<HTMLSelectElement>) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className} about={rest['aria-describedby']}>
      {(ids) => <select {...rest} {...ids} className={`${box} ${error ? 'border-brick' : 'border-edge'}`} />}
    </Labelled>
  )
}

type Ids = { id: string; 'aria-invalid': boolean; 'aria-describedby'?: string }

/** What stands around a field: its label above, its error or hint below, and the names that tie them. */
export function Labelled({
  label,
  error,
  hint,
  className,
  about,
  children,
}: Common & { className: string; about?: string; children: (ids: Ids) => ReactNode }) {
  const id = useId()
  const note = error || hint ? `${id}-note` : undefined
  const described = [note, about].filter(Boolean).join(' ')
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-medium">
        {label}
      </label>
      {children({ id, 'aria-invalid': Boolean(error), ...(described && { 'aria-describedby': described }) })}
      {note && (
        <p id={note} className={`mt-1 text-sm ${error ? 'text-brick' : 'text-bark'}`}>
          {error ?? hint}
        </p>
      )}
    </div>
  )
}
