import type { ComponentProps } from 'react'
import { Field } from '../../ui/Field.tsx'

type Props = Omit<ComponentProps<typeof Field>, 'label' | 'type' | 'autoComplete' | 'hint'>

/** The password of whoever is signed in, asked again before something that matters. */
export const CurrentPassword = (props: Props) => (
  <Field {...props} label="Current password" type="password" autoComplete="current-password" />
)

export const NewPassword = (props: Props) => (
  <Field
    {...props}
    label="New password"
    type="password"
    autoComplete="new-password"
    hint="At least 10 characters."
  />
)
