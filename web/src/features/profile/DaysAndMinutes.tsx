import type { Days } from '@young-oak/core/facts'
import { Choice } from '../../ui/Choice.tsx'
import { Choices } from '../../ui/Choices.tsx'
import { useWord } from './useWord.ts'
import { weekdayChoices } from './weekdays.ts'

const minuteChoices = ['30', '45', '60', '75', '90', '120'].map((minutes) => [minutes, minutes] as const)
const rowChoices = ['1', '2', '3', '4', '5', '6'].map((days) => [days, days] as const)

/** On which days somebody can train, how many of them one after the other, and for how long. */
export function DaysAndMinutes({ days: known, member }: { days: Days; member: string | undefined }) {
  const { said: days, put } = useWord('days', known, member)
  const minutes = days.minutes === undefined ? '' : String(days.minutes)
  return (
    <div className="mt-4 grid gap-1">
      <Choices
        label="Training days"
        chosen={days.weekdays.map(String)}
        choices={weekdayChoices}
        onChange={(chosen) => put({ weekdays: chosen.map(Number).sort((a, b) => a - b) })}
      />
      <Choice
        label="Minutes for a session"
        value={minutes}
        choices={
          minuteChoices.some(([one]) => one === minutes) || !minutes
            ? minuteChoices
            : [...minuteChoices, [minutes, minutes] as const]
        }
        onChange={(chosen) => put({ minutes: chosen ? Number(chosen) : undefined })}
      />
      {days.weekdays.length > 1 && (
        <Choice
          label="Most training days in a row"
          value={days.most === undefined ? '' : String(days.most)}
          choices={rowChoices.slice(0, days.weekdays.length)}
          onChange={(chosen) => put({ most: chosen ? Number(chosen) : undefined })}
        />
      )}
    </div>
  )
}
