import { fieldsOf, type ConditionField } from '@young-oak/api/conditions'
import { muscles, takesMax } from '@young-oak/core/library'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { asSaid, SelectField, type Option } from '../../ui/Select.tsx'
import { ExercisePicker } from '../library/ExercisePicker.tsx'
import { trainingAgeChoices } from '../progress/trainingAge.ts'
import {
  conditionOptions,
  levelChoices,
  newCondition,
  optionOf,
  withOption,
  type ConditionDraft,
  type Named,
} from './rule.ts'

type Props = {
  legend: string
  rule: ConditionDraft[]
  named: Named
  /** By place: `[0].days`. */
  faults: Record<string, string>
  onChange: (rule: ConditionDraft[]) => void
}

const most = 6

/** Conditions that a member has to fit, all of them. */
export function RuleFields({ legend, rule, named, faults, onChange }: Props) {
  const put = (i: number, change: Partial<ConditionDraft>) =>
    onChange(rule.map((one, at) => (at === i ? { ...one, ...change } : one)))
  return (
    <fieldset className="grid gap-3">
      <legend className="font-medium">{legend}</legend>
      {rule.map((one, i) => (
        <div key={i} className="grid gap-3 rounded-md border border-line p-3 sm:grid-cols-2">
          <SelectField
            label={i === 0 ? 'Condition' : 'And'}
            value={optionOf(one)}
            options={conditionOptions}
            className="sm:col-span-2"
            onChoose={(option) => put(i, withOption(one, option))}
          />
          {fieldsOf(one.kind).map((field) => (
            <ConditionInput
              key={field}
              field={field}
              kind={one.kind}
              value={one[field]}
              named={named}
              error={faults[`[${i}].${field}`]}
              onChange={(value) => put(i, { [field]: value })}
            />
          ))}
          {rule.length > 1 && (
            <Button
              look="quiet"
              className="justify-self-start"
              aria-label={`Remove condition ${i + 1}`}
              onClick={() => onChange(rule.filter((_, at) => at !== i))}
            >
              Remove
            </Button>
          )}
        </div>
      ))}
      {rule.length < most && (
        <Button
          look="plain"
          className="justify-self-start"
          onClick={() => onChange([...rule, newCondition()])}
        >
          Add a condition
        </Button>
      )}
    </fieldset>
  )
}

type InputProps = {
  field: ConditionField
  kind: ConditionDraft['kind']
  value: string
  named: Named
  error: string | undefined
  onChange: (value: string) => void
}

const chosenFrom = (names: Record<string, string>, first: string): Option<string>[] => [
  ['', first],
  ...Object.entries(names),
]

/** One field of a condition. */
function ConditionInput({ field, kind, value, named, error, onChange }: InputProps) {
  const choose = (label: string, options: readonly Option<string>[]) => (
    <SelectField label={label} value={value} options={options} error={error} onChoose={onChange} />
  )
  const number = (label: string) => (
    <Field
      label={label}
      inputMode="decimal"
      value={value}
      error={error}
      onChange={({ target }) => onChange(target.value)}
    />
  )
  switch (field) {
    case 'template':
      return choose('Program', chosenFrom(named.programs, 'Choose a program'))
    case 'group':
      return choose('Group', chosenFrom(named.groups, 'Choose a group'))
    case 'location':
      return choose('Location', chosenFrom(named.locations, 'Choose a location'))
    case 'level':
      return choose('Level', [['', 'Choose a level'], ...levelChoices])
    case 'training':
      return choose('Years of training', [['', 'Choose the years'], ...trainingAgeChoices])
    case 'muscle':
      return choose('Muscle', [['', 'Choose a muscle'], ...asSaid(muscles)])
    case 'lift':
      return (
        <ExercisePicker
          label="Lift"
          value={value}
          placeholder="Choose a lift"
          fits={(exercise) => takesMax(named.library, { exercise })}
          {...(error && { error })}
          onChoose={onChange}
        />
      )
    case 'exercise':
      return (
        <ExercisePicker
          label="Exercise"
          value={value}
          placeholder="Choose an exercise"
          fits={() => true}
          {...(error && { error })}
          onChoose={onChange}
        />
      )
    case 'days':
      return number(kind === 'notTrainedFor' ? 'Days' : 'Days a week')
    case 'weeks':
      return number('Weeks')
    case 'minutes':
      return number('Minutes')
    case 'times':
      return number('Times body weight')
    case 'day':
      return (
        <Field
          label="Day"
          type="date"
          value={value}
          error={error}
          onChange={({ target }) => onChange(target.value)}
        />
      )
  }
}
