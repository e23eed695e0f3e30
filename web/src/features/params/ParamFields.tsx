import type { ObjectSchema } from 'yup'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectField } from '../../ui/Field.tsx'
import { choiceLabels, labels } from './labels.ts'
import { choicesOf, labelOf, listsOf, resizeList, type ParamDraft } from './paramDraft.ts'

type Props = {
  schema: ObjectSchema<object>
  typed: ParamDraft
  faults: Record<string, string>
  onType: (typed: ParamDraft) => void
}

/** A field between others that stand in pairs of kg and lb. */
const isAlone = (path: string): boolean => path === 'startLast' || path.endsWith('.percent')

/** The fields of a rule's, a sign's or a recipe's parameters, drawn from their schema; lists grow and shrink. */
export function ParamFields({ schema, typed, faults, onType }: Props) {
  const put = (path: string, value: string) => onType({ ...typed, [path]: value })
  return (
    <>
      {Object.entries(typed).map(([path, value]) => {
        const choices = choicesOf(schema, path)
        const label = labels[path] ?? labelOf(path)
        return choices ? (
          <SelectField
            key={path}
            label={label}
            className="col-span-full"
            value={value}
            error={faults[path]}
            onChange={(event) => put(path, event.target.value)}
          >
            {choices.map((choice) => (
              <option key={choice} value={choice}>
                {choiceLabels[choice] ?? choice}
              </option>
            ))}
          </SelectField>
        ) : (
          <Field
            key={path}
            label={label}
            className={isAlone(path) ? 'col-span-full' : ''}
            inputMode="decimal"
            value={value}
            error={faults[path]}
            onChange={(event) => put(path, event.target.value)}
          />
        )
      })}
      {Object.entries(listsOf(typed)).map(([list, count]) => (
        <p key={list} className="col-span-full flex flex-wrap items-center gap-2 text-sm text-bark">
          {labelOf(list)}: {count}
          <Button look="plain" onClick={() => onType(resizeList(typed, list, 1))}>
            One more
          </Button>
          <Button look="plain" disabled={count < 2} onClick={() => onType(resizeList(typed, list, -1))}>
            One less
          </Button>
        </p>
      ))}
      {faults[''] && (
        <p role="alert" className="col-span-full text-brick">
          {faults['']}
        </p>
      )}
    </>
  )
}
