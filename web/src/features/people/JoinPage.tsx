import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link, useLocation } from 'react-router'
import { joinSchema, type GivenJoin, type InvitedView } from '@young-oak/api/accounts'
import { Fault } from '../../app/Fault.tsx'
import { sayError } from '../../app/api.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Field } from '../../ui/Field.tsx'
import { useEnter } from '../accounts/useEnter.ts'
import { peopleApi } from './peopleApi.ts'

/** The link of an invitation: what it is for, and the way in. */
export default function JoinPage() {
  useTitle('Join')
  const token = useLocation().hash.slice(1)
  const { data, error } = peopleApi.useInvitedQuery(token, { skip: !token })
  return (
    <main className="mx-auto w-full max-w-md px-4 py-8">
      {data ? (
        <Invited key={token} token={token} invited={data} />
      ) : (
        <>
          <h1 className="text-3xl">Join a gym</h1>
          {error || !token ? (
            <>
              <p role="alert" className="mt-4">
                {token ? sayError(error) : 'The link is not whole: copy all of it.'}
              </p>
              <Link to="/sign-in" className="mt-4 inline-block underline underline-offset-4">
                Sign in
              </Link>
            </>
          ) : (
            <p className="mt-4 text-bark">Loading…</p>
          )}
        </>
      )}
    </main>
  )
}

type By = GivenJoin['by']

function Invited({ token, invited }: { token: string; invited: InvitedView }) {
  const { kind, gymName, role, name, from, signedInAs } = invited
  const [hasAsked, setAsked] = useState(false)
  const [by, setBy] = useState<By>(signedInAs ? 'seat' : 'newAccount')
  const ways: (readonly [By, string])[] = [
    ...(signedInAs ? [['seat', `As ${signedInAs}`] as const] : []),
    ['newAccount', 'I am new here'],
    ['account', 'I have an account'],
  ]
  if (hasAsked)
    return (
      <>
        <h1 className="text-3xl">You have asked to join</h1>
        <p role="status" className="mt-4">
          The owner of {gymName} lets you in. Sign in then.{' '}
          <Link to="/sign-in" className="underline underline-offset-4">
            Sign in
          </Link>
        </p>
      </>
    )
  return (
    <>
      <h1 className="text-3xl">Join {gymName}</h1>
      <p className="mt-2 text-bark">
        {kind === 'request'
          ? 'Ask to be a member here. The gym’s owner lets you in.'
          : `${from} has invited ${name} as ${role === 'owner' ? 'an owner' : `a ${role}`}.`}
        {signedInAs && ` You are signed in as ${signedInAs} in this browser.`}
      </p>
      <div className="mt-4">
        <Choice label="Your account" value={by} choices={ways} onChange={(way) => way && setBy(way)} />
      </div>
      <JoinForm key={by} token={token} invited={invited} by={by} onAsked={() => setAsked(true)} />
      {role === 'member' && (
        <p className="mt-6 text-sm text-bark">
          Not medical advice. If you are new to lifting, coming back to it, pregnant, on medication or have a
          condition, see a licensed professional first, and follow your facility’s rules.
        </p>
      )}
    </>
  )
}

type FormProps = { token: string; invited: InvitedView; by: By; onAsked: () => void }

function JoinForm({ token, invited: { kind, name, gymName }, by, onAsked }: FormProps) {
  const [join, joining] = peopleApi.useJoinMutation()
  const [ask, asking] = peopleApi.useAskMutation()
  const { error, isLoading } = kind === 'request' ? asking : joining
  const enter = useEnter()
  const go = async (given: GivenJoin) => {
    if (kind === 'request') {
      const answer = await ask(given)
      return answer.error ? undefined : onAsked()
    }
    const answer = await join(given)
    if (answer.data) await enter(answer.data.seat?.kind === 'member' ? '/profile' : '/')
  }
  const { register, handleSubmit, formState } = useForm<GivenJoin>({
    resolver: yupResolver(joinSchema),
    defaultValues: { token, name, by, ...(by !== 'seat' && { email: '', password: '' }) },
  })
  const { errors } = formState
  const isNew = by === 'newAccount'
  return (
    <form
      onSubmit={(event) => void handleSubmit(go)(event)}
      noValidate
      aria-label={`Join ${gymName}`}
      className="mt-4 grid gap-4"
    >
      <Field
        label="Your name"
        autoComplete="name"
        hint={`As ${gymName} sees it.`}
        error={errors.name?.message}
        {...register('name')}
      />
      {by !== 'seat' && (
        <>
          <Field
            label="E-mail address"
            type="email"
            autoComplete="username"
            hint={isNew ? 'You sign in with it.' : undefined}
            error={errors.email?.message}
            {...register('email')}
          />
          <Field
            label={isNew ? 'New password' : 'Password'}
            type="password"
            autoComplete={isNew ? 'new-password' : 'current-password'}
            hint={isNew ? 'At least 10 characters.' : undefined}
            error={errors.password?.message}
            {...register('password')}
          />
        </>
      )}
      <Fault error={error} />
      <Button type="submit" size="thumb" disabled={isLoading}>
        {kind === 'request' ? 'Ask to join' : 'Join'} {gymName}
      </Button>
    </form>
  )
}
