import { formatRest, highest, parseRest } from '@young-oak/core/units'
import { readRamp, sayRamp, type Defaults } from '@young-oak/core/template'
import type { Answer } from './Answers.tsx'
import { SavedField } from './SavedField.tsx'
import { sayDefaults } from './sayDefaults.ts'

type Props = { defaults: Defaults | undefined; of: string; onSave: (to: Defaults | null) => void }

/** What slots of a session or a phase inherit, as a sentence that opens where it is edited. */
export const defaultsAnswer = (props: Props): Answer => ({
  name: 'defaults for its exercises',
  said: sayDefaults(props.defaults, props.of),
  field: <DefaultsFields {...props} />,
})

function DefaultsFields({ defaults = {}, of, onSave }: Props) {
  const put = (change: Defaults) => {
    const to = Object.fromEntries(
      Object.entries({ ...defaults, ...change }).filter(([, value]) => value !== undefined),
    ) as Defaults
    onSave(Object.keys(to).length ? to : null)
  }
  return (
    <fieldset className="grid grid-cols-3 gap-3">
      <legend className="mb-1 text-sm font-medium">
        Defaults for exercises of the {of} without their own (empty: none)
      </legend>
      <SavedField
        label="RIR"
        hint="3-0 falls over the weeks."
        value={typeof defaults.rir === 'object' ? sayRamp(defaults.rir) : String(defaults.rir ?? '')}
        onSave={(typed) => {
          const ramp = readRamp(typed)
          if (typed && !ramp && !(/^\d+$/.test(typed) && Number(typed) <= 10))
            return '0 to 10, or a ramp that falls: 3-0, 3-0 over 3 weeks.'
          put({ rir: ramp ?? (typed ? Number(typed) : undefined) })
        }}
      />
      <SavedField
        label="Rest"
        placeholder="3:00"
        value={defaults.rest === undefined ? '' : formatRest(defaults.rest)}
        onSave={(typed) => {
          const rest = parseRest(typed)
          if (typed && (rest === null || highest(rest) > 1800)) return 'Like 90, 3:00 or 2-3 min.'
          put({ rest: rest ?? undefined })
        }}
      />
      <SavedField
        label="Tempo"
        placeholder="31X0"
        value={defaults.tempo ?? ''}
        onSave={(typed) => {
          const tempo = typed.toUpperCase()
          if (tempo && !/^[0-9X]{4}$/.test(tempo)) return 'Four digits, or X.'
          put({ tempo: tempo || undefined })
        }}
      />
    </fieldset>
  )
}
