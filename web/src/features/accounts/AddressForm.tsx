import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { addressSchema, type GivenAddress } from '@young-oak/api/accounts'
import { Fault } from '../../app/Fault.tsx'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { Field } from '../../ui/Field.tsx'
import { toast } from '../../ui/toast.ts'
import { accountApi } from './accountApi.ts'
import { CurrentPassword } from './PasswordFields.tsx'

/** The address that one signs in by. */
export function AddressForm({ email }: { email: string }) {
  const [change, { error, isLoading }] = accountApi.useChangeAddressMutation()
  const { register, handleSubmit, formState } = useForm<GivenAddress>({
    resolver: yupResolver(addressSchema),
    defaultValues: { current: '', email: '' },
  })
  const save = async (given: GivenAddress) => {
    const answer = await change(given)
    if (!answer.error) toast(`From now on you sign in with ${given.email}.`)
  }
  return (
    <Details title="Change the e-mail address" className="mt-4">
      <p className="mt-1 text-sm text-bark">You sign in with {email} now.</p>
      <form
        onSubmit={(event) => void handleSubmit(save)(event)}
        noValidate
        aria-label="Change the e-mail address"
        className="mt-3 grid max-w-sm gap-4"
      >
        <Field
          label="New e-mail address"
          type="email"
          autoComplete="off"
          error={formState.errors.email?.message}
          {...register('email')}
        />
        <CurrentPassword error={formState.errors.current?.message} {...register('current')} />
        <Fault error={error} />
        <Button type="submit" disabled={isLoading}>
          Change the address
        </Button>
      </form>
    </Details>
  )
}
