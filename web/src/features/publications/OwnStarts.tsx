import {
  useFieldArray,
  useWatch,
  type Control,
  type FieldErrors,
  type UseFormRegister,
} from 'react-hook-form'
import type { Publication } from '@young-oak/api/forms/publication'
import type { MemberLine } from '@young-oak/api/members'
import { mostOwnDays } from '@young-oak/api/publications'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { Finder } from '../../ui/Finder.tsx'
import { FormMark } from '../../ui/FormMark.tsx'

type Props = {
  register: UseFormRegister<Publication>
  control: Control<Publication>
  errors: FieldErrors<Publication>
  refused: Record<string, string>
  chosen: readonly MemberLine[]
  onMember: (at: number, member: string) => void
}

/** As many names are found at once. */
const mostFound = 50

/** First days that differ from member to member: by the days they usually train on, or by hand. */
export function OwnStarts({ register, control, errors, refused, chosen, onMember }: Props) {
  const { fields, append, remove } = useFieldArray({ control, name: 'ownStarts' })
  const [given, start] = useWatch({ control, name: ['ownStarts', 'start'] })
  const taken = new Set(given.map(({ member }) => member))
  const find = (words: string) =>
    chosen
      .filter(({ id, name }) => !taken.has(id) && name.toLowerCase().includes(words.toLowerCase()))
      .slice(0, mostFound)
      .map(({ id, name }) => ({ value: id, said: name }))
  return (
    <section aria-label="First days" className="grid gap-1">
      <FormMark
        control={control}
        name="onUsualDay"
        label="Each member starts on the first of their usual days"
      />
      <p className="text-sm text-bark">
        The first one on or after the start date. Usual days are in a member’s profile; members who have given
        none start on the start date.
      </p>
      <ul className="mt-1 grid gap-2">
        {fields.map(({ id }, i) => {
          const of = errors.ownStarts?.[i]
          const member = given[i]?.member ?? ''
          const isLeftOut = member !== '' && !chosen.some((one) => one.id === member)
          const name = chosen.find((one) => one.id === member)?.name ?? null
          return (
            <li key={id} className="grid items-start gap-3 sm:grid-cols-[minmax(0,1fr)_11rem_auto]">
              <Finder
                label={`Member ${i + 1}`}
                chosen={isLeftOut ? 'no longer chosen' : name}
                placeholder="Choose a member"
                typing="part of a name"
                nothing="No chosen member has this name."
                hint={isLeftOut ? 'This day is left out.' : undefined}
                error={of?.member?.message ?? refused[`ownStarts[${i}].member`]}
                find={find}
                onChoose={(to) => onMember(i, to)}
              />
              <Field
                label={`First day ${i + 1}`}
                type="date"
                error={of?.start?.message ?? refused[`ownStarts[${i}].start`]}
                {...register(`ownStarts.${i}.start`)}
              />
              <Button look="quiet" className="sm:mt-6" onClick={() => remove(i)}>
                Remove day {i + 1}
              </Button>
            </li>
          )
        })}
      </ul>
      {fields.length < mostOwnDays && (
        <Button
          look="plain"
          className="mt-1 justify-self-start text-sm"
          disabled={!chosen.length}
          onClick={() => append({ member: '', start })}
        >
          Give one member another first day
        </Button>
      )}
    </section>
  )
}
