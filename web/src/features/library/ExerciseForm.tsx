import { useLibrary } from './useLibrary.ts'
import { useState, type FormEvent } from 'react'
import {
  patterns,
  readings,
  takesMax,
  tools,
  type OwnExercise,
  type OwnId,
  type Tool,
} from '@young-oak/core/library'
import { specialBars } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectField } from '../../ui/Field.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { draftOf, emptyDraft, readDraft, usualReads, type ExerciseDraft } from './exerciseDraft.ts'
import { Muscles, Substitutes, Tick } from './ExerciseFields.tsx'
import { ExerciseOptions } from './ExerciseOptions.tsx'

type Props = {
  /** One that is said anew; none for a new one. */
  own?: { id: OwnId; exercise: OwnExercise }
  /** What a new one is called, where that was typed already. */
  name?: string
  onClose: () => void
}

/** An exercise of the gym's own: added, or its name and notes said anew. What is typed stays when something is wrong with it. */
export function ExerciseForm({ own, name, onClose }: Props) {
  const library = useLibrary()
  const [draft, setDraft] = useState(() => (own ? draftOf(own.exercise) : emptyDraft(name)))
  const [faults, setFaults] = useState<Record<string, string>>({})
  const [add, adding] = api.useAddExerciseMutation()
  const [change, changing] = api.useChangeExerciseMutation()
  const put = (changed: Partial<ExerciseDraft>) => setDraft({ ...draft, ...changed })
  const save = async (event: FormEvent) => {
    event.preventDefault()
    // A dialog of a page that listens for keys and forms of its own.
    event.stopPropagation()
    const read = readDraft(draft)
    setFaults(read.faults ?? {})
    if (!read.exercise) return
    const { error } = own ? await change({ id: own.id, exercise: read.exercise }) : await add(read.exercise)
    if (error) setFaults(faultsOf(error))
    else onClose()
  }
  const isSettled = own !== undefined
  const isBusy = adding.isLoading || changing.isLoading
  return (
    <Modal
      title={own ? own.exercise.name : 'Your own exercise'}
      about={
        isSettled
          ? 'Plans were made with the tool, its number and its muscles, so these stay. To change them, add it anew and merge this one into it.'
          : 'Your exercise is counted, loaded and found like every other. Tool, load and muscles cannot change after you add it.'
      }
      isOpen
      isWide
      onClose={onClose}
    >
      <form noValidate className="grid gap-4" onSubmit={(event) => void save(event)}>
        <div className="grid gap-4 sm:grid-cols-[2fr_1fr]">
          <Field
            label="Name"
            value={draft.name}
            error={faults.name}
            onChange={(e) => put({ name: e.target.value })}
          />
          <Field
            label="Also found by"
            hint="Other words for it."
            value={draft.also}
            error={faults.also}
            onChange={(e) => put({ also: e.target.value })}
          />
        </div>
        <fieldset disabled={isSettled} className="grid gap-4 disabled:opacity-70">
          <div className="grid gap-4 sm:grid-cols-4">
            <SelectField
              label="Pattern"
              value={draft.pattern}
              error={faults.pattern}
              onChange={(e) => put({ pattern: e.target.value })}
            >
              <option value="">choose</option>
              {patterns.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </SelectField>
            <SelectField
              label="Tool"
              value={draft.tool}
              onChange={(e) => put({ tool: e.target.value, reads: usualReads[e.target.value as Tool] })}
            >
              {tools.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </SelectField>
            <SelectField
              label="The load is"
              value={draft.reads}
              onChange={(e) => put({ reads: e.target.value })}
            >
              {readings.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </SelectField>
            {draft.tool === 'barbell' && (
              <SelectField label="Bar" value={draft.bar} onChange={(e) => put({ bar: e.target.value })}>
                <option value="">the usual bar</option>
                {specialBars.map((one) => (
                  <option key={one}>{one}</option>
                ))}
              </SelectField>
            )}
          </div>
          <div className="flex flex-wrap gap-x-6 gap-y-2">
            <Tick label="Held for a time" is={draft.isHeld} onChange={(isHeld) => put({ isHeld })} />
            <Tick label="One side at a time" is={draft.perSide} onChange={(perSide) => put({ perSide })} />
          </div>
          <Muscles draft={draft} error={faults.direct} onChange={(shares) => put({ shares })} />
        </fieldset>
        <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
          <Field
            label={draft.isHeld ? 'Suits from, seconds' : 'Suits from, reps'}
            inputMode="numeric"
            value={draft.from}
            error={faults.reps}
            onChange={(e) => put({ from: e.target.value })}
          />
          <Field
            label="to"
            inputMode="numeric"
            value={draft.to}
            onChange={(e) => put({ to: e.target.value })}
          />
          <Field
            label="Recovery, 0 to 5"
            inputMode="decimal"
            value={draft.cost}
            error={faults.cost}
            onChange={(e) => put({ cost: e.target.value })}
          />
          <Field
            label="Spine, 0 to 5"
            inputMode="decimal"
            value={draft.spine}
            error={faults.spine}
            onChange={(e) => put({ spine: e.target.value })}
          />
        </div>
        <div className="grid gap-4 sm:grid-cols-2">
          <Field
            label="Cue"
            value={draft.cue}
            error={faults.cue}
            onChange={(e) => put({ cue: e.target.value })}
          />
          <Field
            label="Caution, if there is one"
            value={draft.caution}
            error={faults.caution}
            onChange={(e) => put({ caution: e.target.value })}
          />
          <SelectField
            label="Variation of"
            hint="Offered to templates as the max to begin with, until it has its own."
            value={draft.parent}
            onChange={(e) => put({ parent: e.target.value })}
          >
            <ExerciseOptions
              title="no other lift"
              fits={(exercise) => takesMax(library, { exercise }) && exercise !== own?.id}
            />
          </SelectField>
          {draft.parent && (
            <Field
              label="First max, % of the parent’s"
              inputMode="decimal"
              value={draft.percent}
              error={faults.parent}
              onChange={(e) => put({ percent: e.target.value })}
            />
          )}
        </div>
        <Substitutes
          chosen={draft.substitutes}
          own={own?.id}
          error={faults.substitutes}
          onChange={(substitutes) => put({ substitutes })}
        />
        {faults[''] && (
          <p role="alert" className="rounded bg-brick-wash px-2 py-1 text-brick">
            {faults['']}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <Button look="quiet" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" disabled={isBusy}>
            {own ? 'Save exercise' : 'Add exercise'}
          </Button>
        </div>
      </form>
    </Modal>
  )
}

/** What the server found wrong, beside the field that it speaks of. */
function faultsOf(error: unknown): Record<string, string> {
  const { data } = error as { data?: { errors?: { path: string; message: string }[] } }
  const found = Object.fromEntries((data?.errors ?? []).map(({ path, message }) => [path, message]))
  return Object.keys(found).length ? found : { '': sayError(error) }
}
