import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { muscles } from '@young-oak/core/library'
import { jointAnswers, type CheckIn as Said } from '@young-oak/core/facts'
import { formatDay } from '@young-oak/core/units'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Choices } from '../../ui/Choices.tsx'
import { Mark } from '../../ui/Mark.tsx'
import { Details } from '../../ui/Details.tsx'
import { trainingAgeChoices, trainingAgeLabel } from './trainingAge.ts'
import { useGive } from './useGive.ts'

type Props = { view: ProgressView; member?: string }

const scale = [1, 2, 3, 4, 5].map((n) => [String(n), String(n)] as const)

/** How somebody is, in a few taps: each answer may be left out. Advice goes by it; it is health data, and only the writer sees it besides. */
export function CheckIn({ view: { checkIn, about }, member }: Props) {
  const [said, setSaid] = useState<Said>({})
  const { give, isBusy } = useGive(member)
  const isEmpty = Object.values(said).every((one) => one === undefined)
  const number = (value: string) => (value ? Number(value) : undefined)
  const save = async () => {
    if (await give({ kind: 'checkIn', ...said }, 'Check-in saved.')) setSaid({})
  }
  return (
    <section aria-label="Check-in" className="rounded-lg border border-line bg-sheet p-4">
      <h2 className="text-xl">{member === undefined ? 'How are you?' : 'How are they?'}</h2>
      <p className="text-sm text-bark">
        {checkIn
          ? `Last check-in on ${formatDay(checkIn.date)}: ${sayCheckIn(checkIn)}.`
          : 'No check-in yet.'}{' '}
        {member === undefined
          ? 'Every answer is optional; only you and your writer see it.'
          : 'Health data: only the member and you see it.'}
      </p>
      <Details title="Check in">
        <div className="mt-2 grid gap-1">
          <Choice
            label="Sleep (1 poor, 5 good)"
            value={String(said.sleep ?? '') as string}
            choices={scale}
            onChange={(value) => setSaid({ ...said, sleep: number(value) })}
          />
          <Choice
            label="Mood (1 poor, 5 good)"
            value={String(said.mood ?? '')}
            choices={scale}
            onChange={(value) => setSaid({ ...said, mood: number(value) })}
          />
          <Choice
            label="Freshness (1 worn out, 5 fresh)"
            value={String(said.freshness ?? '')}
            choices={scale}
            onChange={(value) => setSaid({ ...said, freshness: number(value) })}
          />
          <Choice
            label="Joints"
            value={said.joints ?? ''}
            choices={jointAnswers.map((one) => [one, one] as const)}
            onChange={(joints) => setSaid({ ...said, joints: joints || undefined })}
          />
        </div>
        {said.joints === 'painful' && (
          <p className="rounded bg-brick-wash px-3 py-2 text-sm text-brick">
            Sharp, radiating or joint pain: stop what hurts, and see a licensed professional.
          </p>
        )}
        <Choices
          label="Still sore"
          chosen={said.sore ?? []}
          choices={muscles.map((muscle) => [muscle, muscle] as const)}
          onChange={(sore) => setSaid({ ...said, sore })}
        />
        <Button className="mt-3 min-h-11 w-full" disabled={isBusy || isEmpty} onClick={() => void save()}>
          Save check-in
        </Button>
      </Details>
      <About about={about} member={member} />
    </section>
  )
}

export function sayCheckIn({ sleep, mood, freshness, joints, sore }: Said): string {
  const parts = [
    sleep !== undefined && `sleep ${sleep} of 5`,
    mood !== undefined && `mood ${mood}`,
    freshness !== undefined && `freshness ${freshness}`,
    joints && `joints ${joints}`,
    sore?.length && `sore: ${sore.join(', ')}`,
  ].filter(Boolean)
  return parts.join(', ') || 'no answers'
}

const aboutWords = {
  overForty: 'Aged forty or over',
  deficit: 'Eating in a calorie deficit',
  stress: 'Under stress',
} as const

/** Optional facts that deloads are advised by; withheld, they count for nothing. */
function About({ about, member }: { about: ProgressView['about']; member?: string }) {
  const { give, isBusy } = useGive(member)
  return (
    <Details title="Also relevant (optional)" className="mt-3">
      <Choice
        label={trainingAgeLabel}
        value={about.training ?? ''}
        choices={trainingAgeChoices}
        onChange={(training) => {
          const { training: _, ...others } = about
          void give({ kind: 'about', ...others, ...(training && { training }) }, 'Check-in saved.')
        }}
      />
      {Object.entries(aboutWords).map(([key, words]) => (
        <Mark
          key={key}
          label={words}
          isDisabled={isBusy}
          isOn={about[key as keyof typeof aboutWords] === true}
          onChange={(isOn) => void give({ kind: 'about', ...about, [key]: isOn }, 'Check-in saved.')}
        />
      ))}
    </Details>
  )
}
