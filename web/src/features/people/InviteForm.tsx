import { yupResolver } from '@hookform/resolvers/yup'
import { useForm, useWatch } from 'react-hook-form'
import { inviteDraftSchema, type InvitationLink, type InviteDraft, type Role } from '@young-oak/api/people'
import { Fault } from '../../app/Fault.tsx'
import { fieldErrors } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import { peopleApi } from './peopleApi.ts'
import type { Writer } from './readInvites.ts'

const none = ''
const roleWords: readonly (readonly [Role, string])[] = [
  ['member', 'Member'],
  ['writer', 'Writer'],
  ['owner', 'Owner'],
]
type Props = {
  isOwner: boolean
  sendsMail: boolean
  writers: Writer[]
  onInvited: (links: InvitationLink[]) => void
}

/** Invites one person. */
export function InviteForm({ isOwner, sendsMail, writers, onInvited }: Props) {
  const [invite, { error, isLoading }] = peopleApi.useInviteMutation()
  const { register, control, handleSubmit, reset, formState } = useForm<InviteDraft>({
    resolver: yupResolver(inviteDraftSchema),
    defaultValues: { name: '', email: '', role: 'member', writer: none },
  })
  const role = useWatch({ control, name: 'role' })
  const send = async ({ name, email, role, writer }: InviteDraft) => {
    const person = {
      name,
      role,
      ...(email && { email }),
      ...(writer && role === 'member' && { writers: [writer] }),
    }
    const { data } = await invite({ people: [person] })
    if (!data) return
    onInvited(data)
    reset({ name: '', email: '', role, writer })
  }
  const refused = fieldErrors(error)['people[0].email']
  return (
    <section>
      <h2 className="text-xl">Invite a person</h2>
      <form
        onSubmit={(event) => void handleSubmit(send)(event)}
        noValidate
        aria-label="Invite a person"
        className="mt-3 grid gap-4"
      >
        <Field label="Name" error={formState.errors.name?.message} {...register('name')} />
        <Field
          label="E-mail address (optional)"
          type="email"
          hint={
            sendsMail
              ? 'The link is sent there.'
              : isOwner
                ? 'The link is kept among the messages. This server sends no mail.'
                : 'So that you know whose link it is. This server sends no mail.'
          }
          error={formState.errors.email?.message ?? refused}
          {...register('email')}
        />
        {isOwner && <FormSelect control={control} name="role" label="Role" options={roleWords} />}
        {isOwner && role === 'member' && (
          <FormSelect
            control={control}
            name="writer"
            label="Writer"
            options={[[none, 'No writer yet'], ...writers.map(({ id, name }) => [id, name] as const)]}
            hint={
              writers.length
                ? 'Plans this member, and sees their training.'
                : 'There is no writer yet: invite one.'
            }
          />
        )}
        {!refused && <Fault error={error} />}
        <Button type="submit" disabled={isLoading} className="justify-self-start">
          Make the invitation
        </Button>
      </form>
    </section>
  )
}
