import { useId, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { SelectField } from '../../ui/Select.tsx'
import {
  choicesOf,
  listsOf,
  resizeList,
  settled,
  takeWay,
  waysOf,
  wordsOf,
  type ParamDraft,
  type ParamKind,
} from './paramDraft.ts'

type Props = {
  kind: ParamKind
  typed: ParamDraft
  faults: Record<string, string>
  onType: (typed: ParamDraft) => void
}

/** A field between others that stand in pairs of kg and lb. */
const isAlone = (path: string): boolean => path === 'startLast' || path.endsWith('.percent')

/**
 * The fields of a kind's parameters that act together, with the hint of the one that is being filled in below them; what is seldom
 * stated is shown once it is asked for; a list grows and shrinks. What kind it is, is its key: a hint does not outlive the fields.
 */
export function ParamFields({ kind, typed, faults, onType }: Props) {
  const id = useId()
  const { fields } = kind
  const [at, setAt] = useState(Object.keys(typed)[0])
  const [hasAll, setAll] = useState(false)
  const put = (path: string, value: string) => onType(settled(kind, { ...typed, [path]: value }))
  const isHidden = (path: string, value: string) =>
    !hasAll && value === '' && !faults[path] && wordsOf(fields, path).isRare === true
  const paths = Object.entries(typed)
  const shown = paths.filter(([path, value]) => !isHidden(path, value))
  const wayAt = (i: number) => {
    const of = wordsOf(fields, shown[i]?.[0] ?? '').way?.of
    return of !== undefined && shown.findIndex(([path]) => wordsOf(fields, path).way?.of === of) === i
      ? of
      : null
  }
  return (
    <>
      {shown.map(([path, value], i) => {
        const of = wayAt(i)
        return [
          of !== null && (
            <Way key={`way of ${of}`} kind={kind} of={of} path={path} typed={typed} onType={onType} />
          ),
          <ParamField
            key={path}
            kind={kind}
            path={path}
            value={value}
            error={faults[path]}
            hintId={`${id}-hint`}
            onFocus={() => setAt(path)}
            onType={(to) => put(path, to)}
          />,
        ]
      })}
      {shown.length < paths.length && (
        <Button
          look="quiet"
          className="col-span-full -ml-3.5 justify-self-start text-sm"
          onClick={() => setAll(true)}
        >
          More settings ({paths.length - shown.length})
        </Button>
      )}
      <Lists kind={kind} typed={typed} onType={onType} />
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

type WayProps = Pick<Props, 'kind' | 'typed' | 'onType'> & { of: string; path: string }

/** In which of several ways a thing is stated; nothing to choose where there is one way. */
function Way({ kind, of, path, typed, onType }: WayProps) {
  const ways = waysOf(kind, of)
  if (ways.length < 2) return null
  return (
    <SelectField
      label={`${of}, given`}
      className="col-span-full"
      value={wordsOf(kind.fields, path).way?.is ?? ''}
      options={ways.map((is) => [is, is])}
      onChoose={(is) => onType(takeWay(kind, typed, of, is))}
    />
  )
}

type FieldProps = {
  kind: ParamKind
  path: string
  value: string
  error: string | undefined
  hintId: string
  onFocus: () => void
  onType: (value: string) => void
}

/** One parameter: typed, or chosen where it is one of some words. */
function ParamField({ kind, path, value, error, hintId, onFocus, onType }: FieldProps) {
  const { label, unit, choices = {} } = wordsOf(kind.fields, path)
  const allowed = choicesOf(kind.params, path)
  const field = { error, onFocus, 'aria-describedby': hintId }
  if (!allowed)
    return (
      <Field
        {...field}
        label={unit === null ? label : `${label}, ${unit}`}
        className={isAlone(path) ? 'col-span-full' : ''}
        inputMode={unit === null ? 'text' : 'decimal'}
        value={value}
        onChange={(event) => onType(event.target.value)}
      />
    )
  const said = (choice: string) => choices[choice] ?? choice
  // What is usual may be left unsaid or said: it is offered once.
  const offered = allowed.filter(
    (choice) =>
      choice === value ||
      (said(choice) !== said(value) && allowed.find((one) => said(one) === said(choice)) === choice),
  )
  return (
    <SelectField
      {...field}
      label={label}
      className="col-span-full"
      value={value}
      options={offered.map((choice) => [choice, said(choice)])}
      onChoose={onType}
    />
  )
}

/** The lists among the parameters, one entry longer or shorter. */
const Lists = ({ kind, typed, onType }: Pick<Props, 'kind' | 'typed' | 'onType'>) =>
  Object.entries(listsOf(typed)).map(([list, count]) => {
    const name = wordsOf(kind.fields, list).label.toLowerCase()
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
  })
