import { useState } from 'react'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { toast } from '../../ui/toast.ts'
import { peopleApi } from '../people/peopleApi.ts'
import { several } from './several.ts'

type Props = { chosen: string[]; onDone: () => void }

/** Assigns the members that were chosen to a writer, or ends it. */
export function AssignBar({ chosen, onDone }: Props) {
  const { data: staff = [] } = peopleApi.useStaffQuery()
  const [assign, { isLoading }] = peopleApi.useAssignMutation()
  const [picked, setPicked] = useState('')
  const writers = staff.filter(({ role }) => role === 'writer')
  const writer = writers.find(({ id }) => id === picked) ?? writers[0]
  if (!writer) return <p className="mt-4 text-bark">There is no writer yet: invite one on the People page.</p>
  const set = async (isAssigned: boolean) => {
    const { error } = await assign({ members: chosen, writer: writer.id, isAssigned })
    if (error) return toast.error(sayError(error))
    const who = several(chosen.length)
    toast(isAssigned ? `${who} assigned to ${writer.name}.` : `${writer.name} no longer has ${who}.`)
    onDone()
  }
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3" role="group" aria-label="Assign to a writer">
      <span className="min-w-36">
        {chosen.length ? `${several(chosen.length)} chosen` : 'Choose members:'}
      </span>
      <Select
        aria-label="Writer"
        value={writer.id}
        options={writers.map(({ id, name }) => [id, name] as const)}
        onChoose={setPicked}
        className="min-h-11 min-w-44 px-3"
      />
      <Button disabled={!chosen.length || isLoading} onClick={() => void set(true)}>
        Assign to {writer.name}
      </Button>
      <Button look="plain" disabled={!chosen.length || isLoading} onClick={() => void set(false)}>
        Take from {writer.name}
      </Button>
    </div>
  )
}
