import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { liftKey, liftName, liftOfKey } from '@young-oak/core/library'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { Field } from '../../ui/Field.tsx'
import { Mark } from '../../ui/Mark.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { useGive } from './useGive.ts'

type Props = { view: ProgressView; member?: string }

const none = { name: '', differs: '', firstFrom: '', firstTo: '', secondFrom: '', secondTo: '' }
const mostLifts = 8

/** Two periods that differ in one thing, and the lifts that they are compared by. */
export function TrialForm({ view, member }: Props) {
  const { give, isBusy } = useGive(member)
  const [typed, setTyped] = useState(none)
  const [lifts, setLifts] = useState<string[]>([])
  const put = (change: Partial<typeof typed>) => setTyped({ ...typed, ...change })
  const save = async () => {
    const { name, differs, firstFrom, firstTo, secondFrom, secondTo } = typed
    const fact = {
      kind: 'trial',
      name: name.trim(),
      differs: differs.trim(),
      first: { from: firstFrom, to: firstTo },
      second: { from: secondFrom, to: secondTo },
      lifts: lifts.map(liftOfKey),
    }
    if (!(await give(fact, 'Comparison saved.'))) return
    setTyped(none)
    setLifts([])
  }
  if (!view.lifts.length) return null
  return (
    <Details title="Set up a comparison" className="mt-2">
      <form
        className="grid grid-cols-2 gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <Field
          label="Name"
          required
          maxLength={80}
          className="col-span-2"
          value={typed.name}
          onChange={(event) => put({ name: event.target.value })}
        />
        <Field
          label="The one difference"
          required
          maxLength={200}
          className="col-span-2"
          value={typed.differs}
          onChange={(event) => put({ differs: event.target.value })}
        />
        {(
          [
            ['firstFrom', 'First period, from'],
            ['firstTo', 'to'],
            ['secondFrom', 'Second period, from'],
            ['secondTo', 'to'],
          ] as const
        ).map(([key, label]) => (
          <Field
            key={key}
            label={label}
            type="date"
            required
            value={typed[key]}
            onChange={(event) => put({ [key]: event.target.value })}
          />
        ))}
        <LiftMarks view={view} lifts={lifts} onChange={setLifts} />
        {!lifts.length && (
          <p className="col-span-2 text-sm text-bark">Choose at least one lift to compare by.</p>
        )}
        <Button type="submit" look="plain" className="col-span-2 min-h-11" disabled={isBusy || !lifts.length}>
          Save comparison
        </Button>
      </form>
    </Details>
  )
}

type MarksProps = { view: ProgressView; lifts: string[]; onChange: (lifts: string[]) => void }

/** The lifts to compare by, up to the most that there may be. */
function LiftMarks({ view, lifts, onChange }: MarksProps) {
  const library = useLibrary()
  return (
    <fieldset className="col-span-2">
      <legend className="text-sm font-medium">Compare by, at most {mostLifts} lifts</legend>
      <div className="grid gap-x-4 sm:grid-cols-3">
        {view.lifts.map(({ lift }) => {
          const key = liftKey(lift)
          const isOn = lifts.includes(key)
          return (
            <Mark
              key={key}
              label={liftName(library, lift)}
              isOn={isOn}
              isDisabled={!isOn && lifts.length === mostLifts}
              onChange={() => onChange(isOn ? lifts.filter((one) => one !== key) : [...lifts, key])}
            />
          )
        })}
      </div>
    </fieldset>
  )
}
