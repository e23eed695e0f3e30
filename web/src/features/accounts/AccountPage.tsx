import { api } from '../../app/api.ts'
import { ThemeButton } from '../../app/ThemeButton.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { Toasts } from '../../ui/Toasts.tsx'
import { AddressForm } from './AddressForm.tsx'
import { OwnData } from './OwnData.tsx'
import { PasswordForm } from './PasswordForm.tsx'

/** Who is signed in, how they sign in, and for a member what the gym keeps of them and the way out. */
export default function AccountPage() {
  useTitle('Your account')
  const { data } = api.useSessionQuery()
  return (
    <main className="mx-auto w-full max-w-xl px-4 py-6">
      <h1 className="text-3xl">Your account</h1>
      <p className="mt-2 font-medium">{data?.email}</p>
      <ul className="mt-1 text-bark">
        {data?.seats.map(({ id, name, kind, gymName }) => (
          <li key={id}>
            {name}, {kind} at {gymName}
          </li>
        ))}
      </ul>
      <p className="mt-2 flex items-center justify-between sm:hidden">
        Light or dark page <ThemeButton />
      </p>
      {data && <AddressForm key={data.email} email={data.email ?? ''} />}
      <PasswordForm />
      {data?.seat?.kind === 'member' && <OwnData gymName={data.seat.gymName} />}
      <Toasts />
    </main>
  )
}
