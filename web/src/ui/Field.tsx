import { useId, type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes } from 'react'

type Common = { label: string; error?: string; hint?: ReactNode }
const box = 'min-h-11 w-full rounded-md border bg-sheet px-3 text-ink'

/** A labelled input whose error stands beside it, in words; what was typed is never taken away. */
export function Field({
  label,
  error,
  hint,
  className = '',
  ...rest
}: Common & InputHTMLAttributes<HTMLInputElement>) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className}>
      {(ids) => <input {...ids} className={`${box} ${error ? 'border-brick' : 'border-edge'}`} {...rest} />}
    </Labelled>
  )
}

export function SelectField({
  label,
  error,
  hint,
  className = '',
  ...rest
}: Common & SelectHTMLAttributes<HTMLSelectElement>) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className}>
      {(ids) => <select {...ids} className={`${box} ${error ? 'border-brick' : 'border-edge'}`} {...rest} />}
    </Labelled>
  )
}

type Ids = { id: string; 'aria-invalid': boolean; 'aria-describedby'?: string }

function Labelled({
  label,
  error,
  hint,
  className,
  children,
}: Common & { className: string; children: (ids: Ids) => ReactNode }) {
  const id = useId()
  const note = error || hint ? `${id}-note` : undefined
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-medium">
        {label}
      </label>
      {children({ id, 'aria-invalid': Boolean(error), ...(note && { 'aria-describedby': note }) })}
      {note && (
        <p id={note} className={`mt-1 text-sm ${error ? 'text-brick' : 'text-bark'}`}>
          {error ?? hint}
        </p>
      )}
    </div>
  )
}
