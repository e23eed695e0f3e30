import type { SetSeen } from '@young-oak/core/evidence'
import { formatLoad } from '@young-oak/core/units'

/** "80 kg × 5", "80 kg × 5 @ 2 RIR", "80 kg + 10 kg × 5" on top of body weight. */
export function saySet({ load, help, body, reps, rir }: SetSeen): string {
  const on = body ? `${formatLoad(body)} ${help ? '−' : '+'} ` : ''
  return `${on}${formatLoad(load)} × ${reps}${rir ? ` @ ${rir} RIR` : ''}`
}
