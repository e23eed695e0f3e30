import { useState } from 'react'
import type { RequestLine } from '@young-oak/api/people'
import { formatDay } from '@young-oak/core/units'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { toast } from '../../ui/toast.ts'
import { peopleApi } from './peopleApi.ts'
import type { Writer } from './readInvites.ts'

const none = ''

/** Who asks to be a member, and the owner’s answer. */
export function Requests({ writers }: { writers: Writer[] }) {
  const { data = [] } = peopleApi.useJoinRequestsQuery(undefined, { refetchOnMountOrArgChange: true })
  const [answer, { isLoading }] = peopleApi.useAnswerRequestMutation()
  const [writer, setWriter] = useState(none)
  if (!data.length) return null
  const say = async ({ id, name }: RequestLine, isTaken: boolean) => {
    const { error } = await answer({ id, isTaken, ...(isTaken && writer && { writers: [writer] }) })
    if (error) toast.error(sayError(error))
    else toast(isTaken ? `${name} is a member now.` : `${name} is refused.`)
  }
  return (
    <section className="mt-6 rounded-lg border border-acorn bg-sheet p-4" aria-label="Asking to join">
      <h2 className="text-xl">
        {data.length === 1 ? '1 person asks to join' : `${data.length} people ask to join`}
      </h2>
      <SelectField
        label="Writer for the people you let in"
        className="mt-3 max-w-xs"
        value={writer}
        options={[[none, 'No writer yet'], ...writers.map(({ id, name }) => [id, name] as const)]}
        onChoose={setWriter}
      />
      <ul className="mt-3 max-h-96 divide-y divide-line overflow-y-auto border-y border-line">
        {data.map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
            <span className="min-w-40 font-medium">{one.name}</span>
            <span className="grow text-bark">
              {one.email}, asked {formatDay(one.askedOn)}
            </span>
            <Button
              disabled={isLoading}
              aria-label={`Let ${one.name} in`}
              onClick={() => void say(one, true)}
            >
              Let in
            </Button>
            <Button
              look="plain"
              disabled={isLoading}
              aria-label={`Refuse ${one.name}`}
              onClick={() => void say(one, false)}
            >
              Refuse
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
