import { useState } from 'react'
import { Link } from 'react-router'
import type { GivenGroup, GroupLine } from '@young-oak/api/groups'
import { api, sayError } from '../../app/api.ts'
import { NotRead } from '../../app/NotRead.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { toast } from '../../ui/toast.ts'
import { Toasts } from '../../ui/Toasts.tsx'
import { ByHand } from './ByHand.tsx'
import { sayRule, type Named } from './rule.ts'
import { useNamed } from './useNamed.ts'
import { GroupForm } from './GroupForm.tsx'
import { groupsApi } from './groupsApi.ts'

/** The gym’s groups: who is in them today, and what their rules say. */
export function GroupsPage() {
  useTitle('Groups')
  const { data, error, isLoading, refetch } = groupsApi.useGroupsQuery()
  const named = useNamed()
  const [make, making] = groupsApi.useMakeGroupMutation()
  const [round, setRound] = useState(0)
  const add = async (group: GivenGroup) => {
    const made = await make(group)
    if (made.error) return
    setRound(round + 1)
    toast(`The group ${group.name} is added.`)
  }
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-6">
      <Link to="/members" className="text-sm underline underline-offset-4">
        Members
      </Link>
      <h1 className="mt-1 text-3xl">Groups</h1>
      <p className="mt-1 max-w-2xl text-bark">
        Groups filter the members list and the members that you publish to. They are the gym’s; you see your
        own members in them.
      </p>
      {isLoading && <p className="mt-6 text-bark">Loading…</p>}
      <NotRead error={error} onRetry={refetch} />
      {data?.length === 0 && <p className="mt-6 text-bark">No groups yet.</p>}
      {data && data.length > 0 && (
        <ul aria-label="Groups" className="mt-4 divide-y divide-line border-y border-line">
          {data.map((group) => (
            <Group key={group.id} group={group} named={named} />
          ))}
        </ul>
      )}
      <h2 className="mt-8 text-xl">New group</h2>
      <GroupForm
        key={round}
        named={named}
        error={making.error}
        isLoading={making.isLoading}
        onSave={(group) => void add(group)}
      />
      <Toasts />
    </main>
  )
}

function Group({ group, named }: { group: GroupLine; named: Named }) {
  const { id, name, rule } = group
  const { data } = groupsApi.useGroupMembersQuery(id, { refetchOnMountOrArgChange: true })
  const { data: members = [] } = api.useMembersQuery()
  const [save, saving] = groupsApi.useSaveGroupMutation()
  const [open, setOpen] = useState<'form' | 'members' | 'delete' | null>(null)
  const own = members.filter(({ isMine }) => isMine)
  const names = own.filter((one) => data?.members.includes(one.id)).map((one) => one.name)
  const keep = async (given: GivenGroup) => {
    const { error } = await save({ id, ...given })
    if (!error) setOpen(null)
  }
  const toggle = (what: 'form' | 'members') => setOpen(open === what ? null : what)
  return (
    <li className="py-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 className="text-lg">{name}</h2>
        <span className="grow text-sm text-bark">{rule ? sayRule(rule, named) : 'chosen by hand'}</span>
        <Button
          look="quiet"
          aria-expanded={open === 'members'}
          aria-label={`${rule ? 'Show' : 'Choose'} the members of ${name}`}
          onClick={() => toggle('members')}
        >
          {data ? sayCount(data.members.length, data.others) : '…'}
        </Button>
        <Button look="quiet" aria-label={`Change ${name}`} onClick={() => toggle('form')}>
          Change
        </Button>
        <Button look="quiet" aria-label={`Delete ${name}…`} onClick={() => setOpen('delete')}>
          Delete…
        </Button>
      </div>
      {open === 'members' && !rule && <ByHand group={id} own={own} inIt={data?.members ?? []} />}
      {open === 'members' && rule && (
        <p className="mt-1">{names.length ? names.join(', ') : 'None of your members fits today.'}</p>
      )}
      {open === 'form' && (
        <GroupForm
          group={group}
          named={named}
          error={saving.error}
          isLoading={saving.isLoading}
          onSave={(given) => void keep(given)}
          onCancel={() => setOpen(null)}
        />
      )}
      {open === 'delete' && <DeleteGroup group={group} onClose={() => setOpen(null)} />}
    </li>
  )
}

const sayCount = (own: number, others: number): string =>
  `${own} of your members${others ? `, ${others} of other writers` : ''}`

function DeleteGroup({ group: { id, name }, onClose }: { group: GroupLine; onClose: () => void }) {
  const [remove, { isLoading }] = groupsApi.useDeleteGroupMutation()
  const go = async () => {
    const { error } = await remove(id)
    if (error) toast.error(sayError(error))
    else toast(`The group ${name} is deleted.`)
  }
  return (
    <Modal
      isOpen
      title={`Delete the group ${name}`}
      about="Its members and what was published to them stay as they are."
      onClose={onClose}
    >
      <div className="flex gap-3">
        <Button disabled={isLoading} onClick={() => void go()}>
          Delete the group
        </Button>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </Modal>
  )
}
