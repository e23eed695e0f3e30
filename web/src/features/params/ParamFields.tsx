import { useId, useState } from 'react'
import type { ObjectSchema } from 'yup'
import type { Fields } from '@young-oak/core/words'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { choicesOf, listsOf, resizeList, wordsOf, type ParamDraft } from './paramDraft.ts'

/** A kind of progression, trigger, deload or change: what its parameters may be, and what they are called. */
export type ParamKind = { params: ObjectSchema<object>; fields: Fields }

type Props = {
  kind: ParamKind
  typed: ParamDraft
  faults: Record<string, string>
  onType: (typed: ParamDraft) => void
}

/** A field between others that stand in pairs of kg and lb. */
const isAlone = (path: string): boolean => path === 'startLast' || path.endsWith('.percent')

/**
 * The fields of a kind's parameters, with the hint of the one that is being filled in below them; a list grows and shrinks. What kind
 * it is, is its key: a hint does not outlive the fields.
 */
export function ParamFields({ kind: { params, fields }, typed, faults, onType }: Props) {
  const id = useId()
  const [at, setAt] = useState(Object.keys(typed)[0])
  const put = (path: string, value: string) => onType({ ...typed, [path]: value })
  const hintOf = (path: string) => ({ onFocus: () => setAt(path), 'aria-describedby': `${id}-hint` })
  return (
    <>
      {Object.entries(typed).map(([path, value]) => {
        const { label, unit, choices = {} } = wordsOf(fields, path)
        const allowed = choicesOf(params, path)
        return allowed ? (
          <SelectField
            key={path}
            label={label}
            className="col-span-full"
            value={value}
            error={faults[path]}
            {...hintOf(path)}
            options={allowed.map((choice) => [choice, choices[choice] ?? choice])}
            onChoose={(to) => put(path, to)}
          />
        ) : (
          <Field
            key={path}
            label={unit === null ? label : `${label}, ${unit}`}
            className={isAlone(path) ? 'col-span-full' : ''}
            inputMode={unit === null ? 'text' : 'decimal'}
            value={value}
            error={faults[path]}
            {...hintOf(path)}
            onChange={(event) => put(path, event.target.value)}
          />
        )
      })}
      {Object.entries(listsOf(typed)).map(([list, count]) => {
        const name = wordsOf(fields, list).label.toLowerCase()
        return (
          <p key={list} className="col-span-full flex flex-wrap items-center gap-2 text-sm text-bark">
            <Button look="plain" onClick={() => onType(resizeList(typed, list, 1))}>
              Add {name} {count + 1}
            </Button>
            <Button look="plain" disabled={count < 2} onClick={() => onType(resizeList(typed, list, -1))}>
              Remove {name} {count}
            </Button>
          </p>
        )
      })}
      {faults[''] && (
        <p role="alert" className="col-span-full text-brick">
          {faults['']}
        </p>
      )}
      {at !== undefined && at in typed && (
        <p id={`${id}-hint`} className="col-span-full min-h-10 text-sm text-bark">
          {wordsOf(fields, at).hint}
        </p>
      )}
    </>
  )
}
