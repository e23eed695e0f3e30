import { useState } from 'react'
import type { MemberLine } from '@young-oak/api/members'
import { sayError } from '../../app/api.ts'
import { Field } from '../../ui/Field.tsx'
import { toast } from '../../ui/toast.ts'
import { groupsApi } from './groupsApi.ts'

type Props = { group: string; own: MemberLine[]; inIt: readonly string[] }

/** More are not drawn at once: a name brings the others. */
const mostShown = 300

/** The writer’s own members, put into a group or taken out one by one. */
export function ByHand({ group, own, inIt }: Props) {
  const [typed, setTyped] = useState('')
  const [put] = groupsApi.usePutInGroupMutation()
  const chosen = new Set(inIt)
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
      <ul aria-label="Members" className="mt-2 max-h-80 overflow-y-auto rounded-md border border-edge p-1">
        {found.slice(0, mostShown).map(({ id, name }) => (
          <li key={id}>
            <label className="flex min-h-9 items-center gap-2 rounded px-2 hover:bg-leaf-wash">
              <input
                type="checkbox"
                className="size-4 shrink-0 accent-leaf"
                checked={chosen.has(id)}
                onChange={({ target }) => void set(id, target.checked)}
              />
              {name}
            </label>
          </li>
        ))}
        {found.length > mostShown && (
          <li className="p-2 text-sm text-bark">{found.length - mostShown} more: type a name.</li>
        )}
        {found.length === 0 && <li className="p-2 text-bark">None of your members has this name.</li>}
      </ul>
    </div>
  )
}
