import { useMemo, useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { starterKinds, starterOf, suitsOf, templateOf, type Suit } from '@young-oak/core/starters'
import type { Template } from '@young-oak/core/template'
import { skipToken } from '@reduxjs/toolkit/query/react'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { asSaid, SelectField, type Option } from '../../ui/Select.tsx'

type Props = { isBusy: boolean; onStore: (template: Template) => void }

/** Templates to begin with, each with whom it is for and both schools; for a member, those first that suit the profile. */
export function Starters({ isBusy, onStore }: Props) {
  const [days, setDays] = useState('')
  const [member, setMember] = useState('')
  const { data: members = [] } = api.useMembersQuery()
  const { data, error } = api.useProgressQuery(member ? { day: today(), member } : skipToken)
  const suits = useMemo(
    () => (member && data ? suitsOf({ ...data.profile, about: data.about }) : null),
    [member, data],
  )
  const own = members.filter(({ isMine }) => isMine)
  const shown = (suits ? suits.map(({ kind }) => kind) : starterKinds).filter(
    (kind) => !days || starterOf[kind].phases.some(({ perWeek }) => perWeek === Number(days)),
  )
  return (
    <>
      <div className="mb-3 flex flex-wrap gap-3">
        <SelectField
          label="Days a week"
          className="w-40"
          value={days}
          options={[['', 'any'], ...asSaid(['2', '3', '4', '5', '6'])]}
          onChoose={setDays}
        />
        {own.length > 0 && (
          <SelectField
            label="Suits the profile of"
            className="w-60"
            value={member}
            options={[['', 'nobody in particular'], ...own.map(({ id, name }): Option<string> => [id, name])]}
            onChoose={setMember}
          />
        )}
      </div>
      {error && <p className="mb-3 text-brick">{sayError(error)}</p>}
      {member && data && <p className="mb-2 text-sm text-bark">{sayProfile(data)}</p>}
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {shown.map((kind) => {
          const { title, level, split, days: written, say, phases } = starterOf[kind]
          const suit = suits?.find((one) => one.kind === kind)
          return (
            <li key={kind} className="border-t border-line py-3">
              <h3 className="text-lg">{title}</h3>
              <p className="text-sm text-bark">
                {level}; {split}; days a week: {written}; {phases.reduce((sum, { weeks }) => sum + weeks, 0)}{' '}
                weeks
              </p>
              <p className="mt-1 text-sm">{say}</p>
              {suit && <Suits suit={suit} />}
              <Button
                look="plain"
                className="mt-2 text-sm"
                disabled={isBusy}
                aria-label={`Start with ${title}`}
                onClick={() => onStore(templateOf(starterOf[kind]))}
              >
                Start with this file
              </Button>
            </li>
          )
        })}
      </ul>
    </>
  )
}

function sayProfile({ about, profile: { days, priorities } }: ProgressView): string {
  const said = [
    about.training && 'years of training',
    days.weekdays.length > 0 && 'training days',
    days.minutes !== undefined && 'minutes',
    priorities.muscles.length + priorities.lifts.length > 0 && 'priorities',
  ].filter(Boolean)
  return said.length
    ? `Best first, by the profile’s ${said.join(', ')}.`
    : 'The profile says nothing of days, minutes, years or priorities yet.'
}

/** What of a template suits the profile, and what does not. */
function Suits({ suit: { perWeek, hasDays, minutes, hasTime, isLevel, priority } }: { suit: Suit }) {
  const lines: [fits: boolean, said: string][] = []
  if (hasDays !== null) lines.push([hasDays, `${perWeek} sessions a week`])
  if (hasTime !== null) lines.push([hasTime, `about ${minutes} minutes without warm-ups`])
  if (isLevel !== null) lines.push([isLevel, 'level'])
  const fits = lines.filter(([isFit]) => isFit).map(([, said]) => said)
  const misses = lines.filter(([isFit]) => !isFit).map(([, said]) => said)
  return (
    <p className="mt-1 text-sm">
      {fits.length > 0 && `Suits: ${fits.join(', ')}. `}
      {misses.length > 0 && <span className="text-acorn">Does not suit: {misses.join(', ')}. </span>}
      {priority !== null && `Exercises for the priorities: ${priority}%.`}
    </p>
  )
}
