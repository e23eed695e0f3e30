import { Minus, Plus } from 'lucide-react'
import { formatNumber, formatSeconds, parseSeconds, typedNumber } from '@young-oak/core/units'

type Props = {
  label: string
  value: string
  step: number
  /** A time, read and written as minutes and seconds. */
  isTime?: boolean
  /** Lowest value that a tap goes to; typing is free. */
  least?: number
  onChange: (value: string) => void
  error?: string
}

/** A number with a small step either way under the thumb; it can be typed as well. */
export function Stepper({ label, value, step, isTime = false, least = 0, onChange, error }: Props) {
  const move = (by: number) => {
    const now = isTime ? parseSeconds(value.trim()) : typedNumber(value)
    const next = Math.max(least, (typeof now === 'number' && !Number.isNaN(now) ? now : 0) + by)
    onChange(isTime ? formatSeconds(next) : formatNumber(next))
  }
  return (
    <label className="block">
      <span className="block text-sm">{label}</span>
      <span className="flex items-center gap-1">
        <StepButton label={`${label}: less`} onClick={() => move(-step)}>
          <Minus size={20} />
        </StepButton>
        <input
          inputMode={isTime ? 'text' : 'decimal'}
          value={value}
          aria-invalid={Boolean(error)}
          aria-label={label}
          onChange={(event) => onChange(event.target.value)}
          onFocus={(event) => event.target.select()}
          className={`h-11 w-17 rounded-md border bg-sheet text-center text-xl ${error ? 'border-brick' : 'border-edge'}`}
        />
        <StepButton label={`${label}: more`} onClick={() => move(step)}>
          <Plus size={20} />
        </StepButton>
      </span>
      {error && (
        <span role="alert" className="block max-w-52 text-sm text-brick">
          {error}
        </span>
      )}
    </label>
  )
}

type StepButtonProps = { label: string; onClick: () => void; children: React.ReactNode }

function StepButton({ label, onClick, children }: StepButtonProps) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onClick}
      className="grid size-11 place-items-center rounded-md border border-edge bg-sheet"
    >
      {children}
    </button>
  )
}
