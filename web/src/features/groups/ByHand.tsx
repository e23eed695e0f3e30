import { useState } from 'react'
import type { MemberLine } from '@young-oak/api/members'
import { sayError } from '../../app/api.ts'
import { Field } from '../../ui/Field.tsx'
import { toast } from '../../ui/toast.ts'
import { CheckList } from '../members/CheckList.tsx'
import { groupsApi } from './groupsApi.ts'

type Props = { group: string; own: MemberLine[]; inIt: readonly string[] }

/** The writer’s own members, put into a group or taken out one by one. */
export function ByHand({ group, own, inIt }: Props) {
  const [typed, setTyped] = useState('')
  const [put] = groupsApi.usePutInGroupMutation()
  const wanted = typed.trim().toLowerCase()
  const found = own.filter(({ name }) => name.toLowerCase().includes(wanted))
  const set = async (id: string, isIn: boolean) => {
    const { error } = await put({ id: group, members: [id], isIn })
    if (error) toast.error(sayError(error))
  }
  return (
    <div className="mt-2 max-w-xl">
      <Field
        label="Name contains"
        type="search"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
      />
      <CheckList
        members={found}
        picked={new Set(inIt)}
        onPick={({ id }, isIn) => void set(id, isIn)}
        nobody="None of your members has this name."
        others="type a name."
      />
    </div>
  )
}
