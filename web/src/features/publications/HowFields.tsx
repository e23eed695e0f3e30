import { useWatch, type Control, type FieldErrors, type UseFormRegister } from 'react-hook-form'
import type { Publication } from '@young-oak/api/forms/publication'
import type { Template } from '@young-oak/core/template'
import { Field } from '../../ui/Field.tsx'
import { FormMark } from '../../ui/FormMark.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import type { Option } from '../../ui/Select.tsx'
import { countsBack } from './publication.ts'

type Props = {
  register: UseFormRegister<Publication>
  control: Control<Publication>
  errors: FieldErrors<Publication>
  refused: Record<string, string>
  draft: Template
  isPublished: boolean
}

/** When it begins, how members change over, how the weeks of new members end, on which track, and what becomes of other programs. */
export function HowFields({ register, control, errors, refused, draft, isPublished }: Props) {
  const track = useWatch({ control, name: 'track' })
  const tracks = Object.entries(draft.tracks)
  const isFixed = countsBack(draft)
  return (
    <section aria-labelledby="how" className="grid content-start gap-3 sm:grid-cols-2">
      <h2 id="how" className="text-xl sm:col-span-2">
        From when, and how
      </h2>
      <Field
        label="Start date"
        type="date"
        hint="A day in the past starts today."
        error={errors.start?.message ?? refused.start}
        {...register('start')}
      />
      {isPublished && (
        <FormSelect
          control={control}
          name="begins"
          label="Members on the program"
          options={[
            ['week', 'change with their next week'],
            ['session', 'change with their next session'],
            ['again', 'start over with week 1'],
          ]}
        />
      )}
      <FormSelect
        control={control}
        name="clock"
        label="A week of a new member ends"
        hint={isFixed ? 'A test day needs weeks on dates.' : undefined}
        disabled={isFixed}
        options={[
          ['own', 'when its sessions are done'],
          ['calendar', 'on its last day'],
        ]}
      />
      {tracks.length > 0 && (
        <FormSelect
          control={control}
          name="track"
          label="Track"
          hint={track === 'keep' ? 'New members start the template as written.' : undefined}
          options={[
            ['keep', 'keep each member’s track'],
            ['', 'as written, for all'],
            ...tracks.map(([id, { name }]): Option<string> => [id, `${name}, for all`]),
          ]}
        />
      )}
      <FormSelect
        control={control}
        name="others"
        label="Other programs of these members"
        options={[
          ['beside', 'go on beside this one'],
          ['replace', 'end on the start date'],
          ['follow', 'are done first, then this one starts'],
        ]}
      />
      <FormMark
        control={control}
        name="carry"
        className="sm:col-span-2"
        label="Members who start it go on with the last loads of their program before"
      />
      <Field
        label="Note for the version (optional)"
        className="sm:col-span-2"
        error={errors.note?.message}
        {...register('note')}
      />
    </section>
  )
}
