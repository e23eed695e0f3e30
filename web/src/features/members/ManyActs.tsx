import { useState } from 'react'
import { pauseReasons, type PauseReason } from '@young-oak/core/facts'
import { addDays } from '@young-oak/core/units'
import { api, fieldErrors, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { Field } from '../../ui/Field.tsx'
import { asSaid, SelectField, type Option } from '../../ui/Select.tsx'
import { toast } from '../../ui/toast.ts'
import { groupsApi } from '../groups/groupsApi.ts'
import { several } from './several.ts'

/** What a writer does with all of their members who are shown: put them into a group, pause all of their programs. */
export function ManyActs({ members }: { members: string[] }) {
  if (!members.length) return null
  return (
    <Details title={`Group or pause your ${several(members.length)} shown`} className="mt-2">
      <div className="mb-4 grid max-w-3xl gap-6 border-l-2 border-line pl-4">
        <IntoGroup members={members} />
        <PauseMany members={members} />
      </div>
    </Details>
  )
}

function IntoGroup({ members }: { members: string[] }) {
  const { data: groups = [] } = groupsApi.useGroupsQuery()
  const [put, { isLoading }] = groupsApi.usePutInGroupMutation()
  const [picked, setPicked] = useState('')
  const byHand = groups.filter(({ rule }) => rule === null)
  const group = byHand.find(({ id }) => id === picked) ?? byHand[0]
  if (!group) return <p className="text-sm text-bark">No group by hand yet: make one under Groups.</p>
  const set = async (isIn: boolean) => {
    const { error } = await put({ id: group.id, members, isIn })
    if (error) toast.error(sayError(error))
    else toast(`${several(members.length)} ${isIn ? 'put into' : 'taken out of'} ${group.name}.`)
  }
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField
        label="Group by hand"
        className="min-h-11 min-w-44 px-3"
        value={group.id}
        options={byHand.map(({ id, name }): Option<string> => [id, name])}
        onChoose={setPicked}
      />
      <Button look="plain" className="min-h-11" disabled={isLoading} onClick={() => void set(true)}>
        Put into {group.name}
      </Button>
      <Button look="plain" className="min-h-11" disabled={isLoading} onClick={() => void set(false)}>
        Take out of {group.name}
      </Button>
    </div>
  )
}

function PauseMany({ members }: { members: string[] }) {
  const [give, { isLoading, error }] = api.useGiveToManyMutation()
  const [reason, setReason] = useState<PauseReason>('holiday')
  const [to, setTo] = useState(addDays(today(), 7))
  const pause = async () => {
    const answer = await give({ members, fact: { kind: 'pause', reason, to }, today: today() })
    if (!answer.error) toast(`All programs of ${several(members.length)} are paused.`)
  }
  const fault = fieldErrors(error)
  return (
    <form
      noValidate
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void pause()
      }}
    >
      <SelectField
        label="Pause all programs for"
        className="min-h-11 min-w-36 px-3"
        value={reason}
        options={asSaid(pauseReasons)}
        onChoose={setReason}
      />
      <Field
        label="First day back"
        type="date"
        min={addDays(today(), 1)}
        value={to}
        error={error && (fault.to ?? fault.fact ?? sayError(error))}
        onChange={({ target }) => setTo(target.value)}
      />
      <Button type="submit" look="plain" className="mt-6 min-h-11" disabled={isLoading || !to}>
        Pause programs of {several(members.length)}
      </Button>
    </form>
  )
}
