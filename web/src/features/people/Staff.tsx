import { useState } from 'react'
import type { StaffLine } from '@young-oak/api/people'
import { Fault } from '../../app/Fault.tsx'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { toast } from '../../ui/toast.ts'
import { peopleApi } from './peopleApi.ts'

/** The gym’s owners and writers. */
export function Staff({ staff }: { staff: StaffLine[] }) {
  const [ending, setEnding] = useState<StaffLine | null>(null)
  const [writeToo] = peopleApi.useWriteTooMutation()
  const self = staff.find(({ isSelf }) => isSelf)
  const writes = staff.some(({ role, email }) => role === 'writer' && email === self?.email)
  const begin = async () => {
    const { error } = await writeToo()
    if (error) toast.error(sayError(error))
    else toast('You write programs too now: change between your two roles at the top of the page.')
  }
  return (
    <section className="mt-10">
      <h2 className="text-xl">Owners and writers</h2>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {staff.map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-6 gap-y-1 py-2">
            <span className="min-w-40 font-medium">
              {one.name}
              {one.isSelf && ' (you)'}
            </span>
            <span className="min-w-20">{one.role}</span>
            <span className="grow text-bark">{one.email}</span>
            {one.role === 'writer' && (
              <span>{one.members === 1 ? '1 member' : `${one.members} members`}</span>
            )}
            <Button
              look="quiet"
              aria-label={`End ${one.name}’s role as ${one.role}…`}
              onClick={() => setEnding(one)}
            >
              End role…
            </Button>
          </li>
        ))}
      </ul>
      {!writes && (
        <p className="mt-3">
          <Button look="plain" onClick={() => void begin()}>
            Write programs too
          </Button>
        </p>
      )}
      {ending && <EndRole one={ending} staff={staff} onClose={() => setEnding(null)} />}
    </section>
  )
}

const nobody = ''

function EndRole({ one, staff, onClose }: { one: StaffLine; staff: StaffLine[]; onClose: () => void }) {
  const [endSeat, { error, isLoading }] = peopleApi.useEndSeatMutation()
  const [handTo, setHandTo] = useState(nobody)
  const others = staff.filter(({ role, id }) => role === 'writer' && id !== one.id)
  const hasMembers = one.role === 'writer' && one.members > 0
  const end = async () => {
    const { error: fault } = await endSeat({ id: one.id, ...(handTo && { handTo }) })
    if (!fault) onClose()
  }
  return (
    <Modal
      isOpen
      title={`End ${one.name}’s role as ${one.role}`}
      about={
        one.role === 'writer'
          ? 'What they have written stays. They lose access at once, and links they have made stop working.'
          : 'They lose access at once, and links they have made stop working. To give the role back, invite them again.'
      }
      onClose={onClose}
    >
      {hasMembers && (
        <SelectField
          label={one.members === 1 ? 'Who takes over 1 member' : `Who takes over ${one.members} members`}
          value={handTo}
          options={[
            [nobody, 'Nobody: they have no writer then'],
            ...others.map(({ id, name }) => [id, name] as const),
          ]}
          onChoose={setHandTo}
        />
      )}
      <Fault error={error} className="mt-3" />
      <div className="mt-4 flex gap-3">
        <Button disabled={isLoading} onClick={() => void end()}>
          End the role
        </Button>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </Modal>
  )
}
