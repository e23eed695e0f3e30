import { sayLayout, type Layout, type Phase } from '@young-oak/core/template'
import { weekdayNames } from '@young-oak/core/units'
import { Mark } from '../../../ui/Mark.tsx'
import { SelectField } from '../../../ui/Select.tsx'
import type { Answer } from './Answers.tsx'
import { SavedField } from './SavedField.tsx'
import { readHours, readRunning, weekdaysWith, withPair, withWeekday } from './layoutDraft.ts'

type Props = { phase: Phase; onSave: (to: Layout | null) => void }

/** On which days the sessions of a phase lie, as a sentence that opens where it is edited. */
export function layoutAnswer(props: Props): Answer {
  const said = sayLayout(props.phase)
  return { name: 'days of its sessions', said: said && `Days: ${said}`, field: <LayoutFields {...props} /> }
}

const weekdayOptions = weekdayNames.map((name, i) => [String(i + 1), name] as [string, string])

function LayoutFields({ phase, onSave }: Props) {
  const { perWeek, layout = {} } = phase
  const { weekdays, rest, running, sameDay = [] } = layout
  const put = (change: Partial<Layout>) => {
    const kept = Object.entries({ ...layout, ...change }).filter(([, value]) => value !== undefined)
    onSave(kept.length ? (Object.fromEntries(kept) as Layout) : null)
  }
  const days = Array.from({ length: perWeek }, (_, i) => i + 1)
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 text-sm font-medium">Days of the sessions (dates only, no loads)</legend>
      <SelectField
        label="Sessions are on"
        value={weekdays ? 'weekdays' : 'any'}
        options={[
          ['any', 'any day, one after the other'],
          ['weekdays', 'fixed weekdays'],
        ]}
        onChoose={(how) =>
          how === 'any'
            ? put({ weekdays: undefined })
            : put({ weekdays: weekdaysWith(perWeek, sameDay), rest: undefined, running: undefined })
        }
      />
      {weekdays ? (
        <div className="grid grid-cols-2 gap-3">
          {days.map((day) => (
            <SelectField
              key={day}
              label={`Day ${day}`}
              value={String(weekdays[day - 1] ?? '')}
              options={weekdayOptions}
              onChoose={(to) => put({ weekdays: withWeekday(weekdays, day, Number(to), sameDay) })}
            />
          ))}
        </div>
      ) : (
        <SavedField
          label="Most days in a row"
          inputMode="numeric"
          placeholder="any"
          value={running === undefined ? '' : String(running)}
          hint={rest ? undefined : 'Days of rest are added in the session rotation.'}
          onSave={(typed) => {
            const read = readRunning(typed)
            if ('fault' in read) return read.fault
            put({ running: read.running })
            return undefined
          }}
        />
      )}
      {days.slice(1).map((day) => {
        const pair = sameDay.find(({ first }) => first === day - 1)
        return (
          <div key={day} className="grid grid-cols-[1fr_7rem] items-center gap-3 text-sm">
            <Mark
              label={`Day ${day} on the same date as day ${day - 1}`}
              isOn={pair !== undefined}
              onChange={(isOn) => put(withPair(layout, day - 1, isOn ? 6 : null))}
            />
            {pair && (
              <SavedField
                label={`Hours after day ${day - 1}`}
                inputMode="numeric"
                value={String(pair.hours)}
                onSave={(typed) => {
                  const hours = readHours(typed)
                  if (hours === null) return '1 to 16.'
                  put(withPair(layout, day - 1, hours))
                  return undefined
                }}
              />
            )}
          </div>
        )
      })}
    </fieldset>
  )
}
