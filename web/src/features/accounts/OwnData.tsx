import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link, useNavigate } from 'react-router'
import { ownLeaveSchema, type GivenOwnLeave } from '@young-oak/api/accounts'
import { Fault } from '../../app/Fault.tsx'
import { api, sayError } from '../../app/api.ts'
import { useAppDispatch, useAppSelector } from '../../app/store.ts'
import { today } from '../../app/today.ts'
import { giveUpOutbox } from '../../offline/useOutbox.ts'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { toast } from '../../ui/toast.ts'
import { OwnAudit } from '../audit/OwnAudit.tsx'
import { accountApi } from './accountApi.ts'
import { DeleteData } from './DeleteData.tsx'
import { CurrentPassword } from './PasswordFields.tsx'

/** What the gym keeps of a member, as a file, the way out of the gym, and the end of all of it. */
export function OwnData({ gymName }: { gymName: string }) {
  const [read, { isLoading }] = accountApi.useOwnDataMutation()
  const save = async () => {
    const { data, error } = await read()
    if (!data) return toast.error(sayError(error))
    const blob = new Blob([JSON.stringify(data, null, 2)], { type: 'application/json' })
    const link = document.createElement('a')
    link.href = URL.createObjectURL(blob)
    link.download = `young-oak-${today()}.json`
    link.click()
    URL.revokeObjectURL(link.href)
  }
  return (
    <>
      <section className="mt-8">
        <h2 className="text-xl">Your data</h2>
        <p className="mt-1">
          <Link to="/profile" className="underline underline-offset-4">
            About you
          </Link>
          : training, unit, location and body weight
        </p>
        <p className="mt-1 text-sm text-bark">
          Everything that {gymName} keeps of you: maxes, body weight, check-ins, programs and every set.
        </p>
        <Button look="plain" className="mt-3" disabled={isLoading} onClick={() => void save()}>
          Save all my data as a file
        </Button>
      </section>
      <SeenBy />
      <LeaveForm gymName={gymName} />
      <DeleteData gymName={gymName} />
    </>
  )
}

/** Read only once it is opened. */
function SeenBy() {
  const [isOpen, setOpen] = useState(false)
  return (
    <details className="mt-4" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="flex min-h-11 cursor-pointer items-center text-sm underline underline-offset-4">
        Who has opened or changed your data
      </summary>
      {isOpen && <OwnAudit />}
    </details>
  )
}

function LeaveForm({ gymName }: { gymName: string }) {
  const [leave, { error, isLoading }] = accountApi.useLeaveGymMutation()
  const waiting = useAppSelector(({ outbox }) => outbox.operations.length)
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const { register, handleSubmit, formState } = useForm<GivenOwnLeave>({
    resolver: yupResolver(ownLeaveSchema),
    defaultValues: { current: '' },
  })
  const go = async (given: GivenOwnLeave) => {
    const answer = await leave(given)
    if (answer.error) return
    giveUpOutbox()
    dispatch(api.util.resetApiState())
    void navigate('/sign-in')
  }
  return (
    <Details title={`Leave ${gymName}`} className="mt-4">
      <p className="mt-1 text-sm text-bark">
        You are signed out, and your writers no longer see you. The gym keeps what you trained, so that you
        can come back: it invites you again.
      </p>
      {waiting > 0 ? (
        <p className="mt-2 text-acorn">
          {waiting === 1 ? '1 entry has' : `${waiting} entries have`} not been sent yet. Leave once all is
          sent.
        </p>
      ) : (
        <form
          onSubmit={(event) => void handleSubmit(go)(event)}
          noValidate
          aria-label={`Leave ${gymName}`}
          className="mt-3 grid max-w-sm gap-4"
        >
          <CurrentPassword error={formState.errors.current?.message} {...register('current')} />
          <Fault error={error} />
          <Button type="submit" look="plain" disabled={isLoading}>
            Leave {gymName}
          </Button>
        </form>
      )}
    </Details>
  )
}
