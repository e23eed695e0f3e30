import { useState } from 'react'
import type { MemberLine } from '@young-oak/api/members'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { SelectField, type Option } from '../../ui/Select.tsx'
import { toast } from '../../ui/toast.ts'
import { groupsApi } from '../groups/groupsApi.ts'
import { MoveMany } from './MoveMany.tsx'
import { several } from './several.ts'

/** What a writer does with all of their members who are shown: put them into a group; pause or end their programs, or change the track. */
export function ManyActs({ members }: { members: MemberLine[] }) {
  if (!members.length) return null
  return (
    <Details title={`Group, pause or move your ${several(members.length)} shown`} className="mt-2">
      <div className="mb-4 grid max-w-3xl gap-6 border-l-2 border-line pl-4">
        <IntoGroup members={members.map(({ id }) => id)} />
        <MoveMany members={members} />
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
