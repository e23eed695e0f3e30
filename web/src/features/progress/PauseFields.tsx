import { pauseReasons, type PauseReason } from '@young-oak/core/facts'
import { muscles } from '@young-oak/core/library'
import { today } from '../../app/today.ts'
import { Choices } from '../../ui/Choices.tsx'
import { Field, PhoneSelect } from '../../ui/Field.tsx'
import {
  meanwhiles,
  sayMeanwhile,
  sayWay,
  ways,
  type Meanwhile,
  type PauseDraft,
  type Way,
} from './meanwhile.ts'

type Props = {
  draft: PauseDraft
  error?: string | undefined
  onChange: (draft: PauseDraft) => void
}

/** Why somebody pauses, what is trained meanwhile, until when, and the way back. */
export function PauseFields({ draft, error, onChange }: Props) {
  const { reason, to, meanwhile, without, way } = draft
  const put = (change: Partial<PauseDraft>) => onChange({ ...draft, ...change })
  return (
    <>
      <PhoneSelect
        label="Reason for the pause"
        value={reason}
        onChange={({ target }) => put({ reason: target.value as PauseReason })}
      >
        {pauseReasons.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </PhoneSelect>
      <PhoneSelect
        label="Meanwhile"
        value={meanwhile}
        onChange={({ target }) => put({ meanwhile: target.value as Meanwhile })}
      >
        {meanwhiles.map((one) => (
          <option key={one} value={one}>
            {sayMeanwhile(one)}
          </option>
        ))}
      </PhoneSelect>
      {meanwhile === 'without' && (
        <div className="sm:col-span-2">
          <Choices
            label="Left out: lifts that work mainly"
            chosen={without}
            choices={muscles.map((muscle) => [muscle, muscle] as const)}
            onChange={(to) => put({ without: to })}
          />
        </div>
      )}
      <Field
        label="First day back (optional)"
        type="date"
        min={today()}
        value={to}
        error={error}
        onChange={({ target }) => put({ to: target.value })}
      />
      <PhoneSelect
        label="First week back"
        value={way}
        onChange={({ target }) => put({ way: target.value as Way })}
      >
        {ways.map((one) => (
          <option key={one} value={one}>
            {sayWay(one)}
          </option>
        ))}
      </PhoneSelect>
      {(reason === 'injury' || reason === 'illness') && (
        <p className="text-sm text-acorn sm:col-span-2">See a licensed professional before training again.</p>
      )}
    </>
  )
}
