import { useState } from 'react'
import { Fault } from '../../app/Fault.tsx'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { toast } from '../../ui/toast.ts'
import { peopleApi } from '../people/peopleApi.ts'

type Props = { chosen: { id: string; name: string }[]; onDone: () => void }

/** Ends the memberships of those who were chosen, once they have been named. */
export function EndMemberships({ chosen, onDone }: Props) {
  const [isOpen, setOpen] = useState(false)
  const [set, { error, isLoading }] = peopleApi.useSetMembershipsMutation()
  const who = chosen.length === 1 ? (chosen[0]?.name ?? '') : `${chosen.length} members`
  const end = async () => {
    const answer = await set({ members: chosen.map(({ id }) => id), isOver: true })
    if (answer.error) return
    setOpen(false)
    toast(`Membership ended: ${who}. Take them back under “former members”.`)
    onDone()
  }
  return (
    <>
      <Button look="quiet" disabled={!chosen.length} onClick={() => setOpen(true)}>
        End memberships…
      </Button>
      <Modal
        isOpen={isOpen}
        title={`End the membership of ${who}`}
        about="They are signed out and no longer have a writer. What they trained stays, and they can be taken back."
        onClose={() => setOpen(false)}
      >
        <ul className="max-h-48 overflow-y-auto border-y border-line py-1">
          {chosen.map(({ id, name }) => (
            <li key={id}>{name}</li>
          ))}
        </ul>
        <Fault error={error} className="mt-3" />
        <div className="mt-4 flex gap-3">
          <Button disabled={isLoading} onClick={() => void end()}>
            End {chosen.length === 1 ? '1 membership' : `${chosen.length} memberships`}
          </Button>
          <Button look="plain" onClick={() => setOpen(false)}>
            Cancel
          </Button>
        </div>
      </Modal>
    </>
  )
}
