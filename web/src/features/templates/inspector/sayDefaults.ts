import { sayRamp, type Defaults } from '@young-oak/core/template'
import { formatRest } from '@young-oak/core/units'

/** "Exercises of the session without their own: 2 RIR, rest 3:00", or null where nothing is set. */
export function sayDefaults({ rir, rest, tempo }: Defaults = {}, of: string): string | null {
  const said = [
    rir !== undefined && `${typeof rir === 'object' ? sayRamp(rir) : rir} RIR`,
    rest !== undefined && `rest ${formatRest(rest)}`,
    tempo && `tempo ${tempo}`,
  ].filter(Boolean)
  return said.length ? `Exercises of the ${of} without their own: ${said.join(', ')}` : null
}
