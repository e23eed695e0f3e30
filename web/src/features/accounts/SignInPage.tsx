import { Fault } from '../../app/Fault.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Navigate } from 'react-router'
import { signInSchema, type SignIn } from '@young-oak/api/accounts'
import { api } from '../../app/api.ts'
import { useSigningOut } from '../../app/signingOut.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { gymApi } from '../gym/gymApi.ts'
import { ForgottenForm } from './ForgottenForm.tsx'
import { useEnter } from './useEnter.ts'

export default function SignInPage() {
  useTitle('Sign in')
  const [isAway, setAway] = useState(false)
  // What could not be read is asked for until it is there: this page is where somebody waits for the server.
  const { data, error: away } = api.useSessionQuery(undefined, { pollingInterval: isAway ? 3000 : 0 })
  if (isAway !== (away !== undefined)) setAway(!isAway)
  const [signIn, { error, isLoading }] = api.useSignInMutation()
  useSigningOut()
  const { register, handleSubmit, formState } = useForm<SignIn>({
    resolver: yupResolver(signInSchema),
    defaultValues: { email: '', password: '' },
  })
  const open = useEnter()
  const enter = async (given: SignIn) => {
    const answer = await signIn(given)
    if (!answer.error) await open()
  }
  const { data: setUp } = gymApi.useIsSetUpOpenQuery()
  if (setUp?.isOpen) return <Navigate to="/set-up" replace />
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-10 p-6 md:grid-cols-2">
      <Intro />
      <section className="rounded-lg border border-line bg-sheet p-6">
        <form
          onSubmit={(event) => void handleSubmit(enter)(event)}
          noValidate
          className="grid gap-4"
          aria-label="Sign in"
        >
          <Field
            label="E-mail address"
            type="email"
            autoComplete="username"
            error={formState.errors.email?.message}
            {...register('email')}
          />
          <Field
            label="Password"
            type="password"
            autoComplete="current-password"
            error={formState.errors.password?.message}
            {...register('password')}
          />
          <Fault error={error ?? away} />
          <Button type="submit" size="thumb" disabled={isLoading}>
            Sign in
          </Button>
          <details className="text-sm text-bark">
            <summary className="cursor-pointer">No account, or no password?</summary>
            <p className="mt-1">
              Your gym invites you by a link.
              {!data?.sendsMail &&
                ' If you have forgotten your password, ask your gym: whoever runs its server can make you a link for a new one.'}
            </p>
          </details>
        </form>
        {data?.sendsMail && (
          <details className="mt-4 text-sm text-bark">
            <summary className="cursor-pointer">Password forgotten?</summary>
            <ForgottenForm />
          </details>
        )}
        {data && data.demo.length > 0 && <DemoPeople people={data.demo} onEnter={(one) => void enter(one)} />}
      </section>
    </main>
  )
}

/** What it is, and the usual caution. */
const Intro = () => (
  <section className="self-center">
    <h1 className="text-5xl">Young Oak</h1>
    <p className="mt-4 max-w-md text-lg text-bark">
      Write a strength program once. Every member’s loads come from their own logged maxes, down to the
      plates.
    </p>
    <p className="mt-6 max-w-md text-sm text-bark">
      Not medical advice. If you are new to lifting, coming back to it, pregnant, on medication or have a
      condition, see a licensed professional first, and follow your facility’s rules.
    </p>
  </section>
)

type DemoProps = {
  people: { email: string; password: string; who: string }[]
  onEnter: (who: SignIn) => void
}

/** The made-up people of the demo, each with one tap. */
const DemoPeople = ({ people, onEnter }: DemoProps) => (
  <div className="mt-6 border-t border-line pt-4">
    <p className="text-sm text-bark">This is the demo, with made-up people. Sign in as:</p>
    <ul className="mt-2 grid gap-1">
      {people.map(({ email, password, who }) => (
        <li key={email}>
          <Button look="plain" className="w-full text-left" onClick={() => onEnter({ email, password })}>
            {who}
          </Button>
        </li>
      ))}
    </ul>
  </div>
)
