import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { Adjustment } from '@young-oak/core/adjustments'
import { muscles, type Muscle } from '@young-oak/core/library'
import { everyNth, placeDeload, deloadKinds, deloadOf, type DeloadKind } from '@young-oak/core/deloads'
import {
  checkCommand,
  nominalWeeks,
  sayAdjustment,
  sayIssue,
  type Command,
  type Phase,
  type Template,
} from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { Acts } from '../../../ui/Acts.tsx'
import { Button } from '../../../ui/Button.tsx'
import { SelectField } from '../../../ui/Field.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { ParamFields } from '../../params/ParamFields.tsx'
import { draftOf, faultsOf, unflatten } from '../../params/paramDraft.ts'
import { edit } from '../editorSlice.ts'
import { mint } from '../mint.ts'

/** Deloads of each phase as lines, and the recipes to put more of them in. */
export function Deloads({ draft, only }: { draft: Template; only?: string }) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [open, setOpen] = useState<string | null>(null)
  const phase = draft.phases.find(({ id }) => id === open)
  return (
    <section aria-label="Deloads">
      <h3 className="text-lg">Deloads</h3>
      <ul className="mt-1 grid gap-1 text-sm">
        {draft.phases
          .filter(({ id }) => only === undefined || id === only)
          .map((one) => (
            <li key={one.id}>
              {only === undefined && <span className="font-medium">{one.name}</span>}
              <div>
                {one.deloads.length === 0 && <p className="text-bark">None planned.</p>}
                {one.deloads.map((deload) => {
                  const { where, what } = sayAdjustment(library, draft, deload)
                  return (
                    <p key={deload.id} className="text-bark">
                      <span className="text-ink">{where}:</span> {what}{' '}
                      <Button
                        look="quiet"
                        className="min-h-0"
                        aria-label={`Remove: ${where}, ${what}`}
                        onClick={() => dispatch(edit(without(one, deload)))}
                      >
                        Remove
                      </Button>
                    </p>
                  )
                })}
                <Button look="quiet" className="-ml-3.5 min-h-0" onClick={() => setOpen(one.id)}>
                  Add a deload…
                </Button>
              </div>
            </li>
          ))}
      </ul>
      {phase && (
        <Modal
          title={`A deload in ${phase.name}`}
          about="It raises none of load, hard sets or effort, and lowers at least one."
          isOpen
          onClose={() => setOpen(null)}
        >
          <DeloadForm draft={draft} phase={phase} onClose={() => setOpen(null)} />
        </Modal>
      )}
    </section>
  )
}

const without = (phase: Phase, deload: Adjustment): Command => ({
  do: 'setDeloads',
  phase: phase.id,
  from: phase.deloads,
  to: phase.deloads.filter((one) => one !== deload),
})

function DeloadForm({ draft, phase, onClose }: { draft: Template; phase: Phase; onClose: () => void }) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const weeks = nominalWeeks(phase)
  const kinds = deloadKinds.filter((kind) => kind !== 'taper' || phase.ends)
  const [kind, setKind] = useState<DeloadKind>('fewerSets')
  const [typed, setTyped] = useState(() => starterOf('fewerSets'))
  const [chosen, setChosen] = useState<number[]>(weeks > 3 ? everyNth(weeks, 4) : [weeks])
  const [some, setSome] = useState<Muscle[]>([])
  const [faults, setFaults] = useState<Record<string, string>>({})
  const { params, sentence, saidFor, saidAgainst } = deloadOf[kind]
  const to = unflatten(typed)
  const isWhole = params.isValidSync(to, { strict: true })
  const isTaper = kind === 'taper'
  const choose = (next: DeloadKind) => {
    setKind(next)
    setTyped(starterOf(next))
    setFaults({})
  }
  const save = () => {
    const found = faultsOf(params, typed)
    if (!isTaper && !chosen.length) found[''] = 'Choose at least one week.'
    if (Object.keys(found).length) return setFaults(found)
    const placing = phase.ends ? { toTest: chosen.map((week) => weeks - week) } : { weeks: chosen }
    const placed = placeDeload(kind, to, placing, mint, some)
    const command: Command = {
      do: 'setDeloads',
      phase: phase.id,
      from: phase.deloads,
      to: [...phase.deloads, ...placed],
    }
    const [issue] = checkCommand(library, draft, command)
    if (issue) return setFaults({ '': sayIssue(library, draft, issue) })
    dispatch(edit(command))
    onClose()
  }
  return (
    <form
      className="grid grid-cols-2 gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      <SelectField
        label="Kind of deload"
        className="col-span-2"
        value={kind}
        onChange={(event) => choose(event.target.value as DeloadKind)}
      >
        {kinds.map((one) => (
          <option key={one} value={one}>
            {deloadOf[one].title}
          </option>
        ))}
      </SelectField>
      <div className="col-span-2 text-sm text-bark">
        <p className="text-ink">
          {isWhole ? sentence(to) : 'Incomplete: “Add deload” shows what is missing.'}
        </p>
        <p>For: {saidFor}</p>
        <p>Arguments against: {saidAgainst}</p>
      </div>
      <ParamFields key={kind} kind={deloadOf[kind]} typed={typed} faults={faults} onType={setTyped} />
      {!isTaper && <WeekChoice phase={phase} weeks={weeks} chosen={chosen} onChoose={setChosen} />}
      {kind !== 'fewerDays' && <MuscleChoice chosen={some} onChoose={setSome} />}
      <Acts>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
        <Button type="submit">Add deload</Button>
      </Acts>
    </form>
  )
}

type WeekProps = { phase: Phase; weeks: number; chosen: number[]; onChoose: (weeks: number[]) => void }

/** The weeks that the deload is in: one by one, or every so many. */
const WeekChoice = ({ phase, weeks, chosen, onChoose }: WeekProps) => (
  <fieldset className="col-span-2">
    <legend className="text-sm font-medium">
      {phase.ends ? 'Weeks before the test (0 is the test week)' : 'Weeks of the phase'}
    </legend>
    <div className="mt-1 flex flex-wrap gap-1">
      {Array.from({ length: weeks }, (_, i) => i + 1).map((week) => (
        <Toggle
          key={week}
          label={String(phase.ends ? weeks - week : week)}
          isOn={chosen.includes(week)}
          onChange={(isOn) =>
            onChoose(isOn ? [...chosen, week].sort((a, b) => a - b) : chosen.filter((one) => one !== week))
          }
        />
      ))}
    </div>
    {!phase.ends && weeks > 3 && (
      <p className="mt-1 flex flex-wrap gap-3 text-sm">
        {[4, 6, 8]
          .filter((n) => n <= weeks)
          .map((n) => (
            <Button key={n} look="quiet" className="-ml-3.5" onClick={() => onChoose(everyNth(weeks, n))}>
              Every {n}th
            </Button>
          ))}
      </p>
    )}
  </fieldset>
)

type MuscleProps = { chosen: Muscle[]; onChoose: (muscles: Muscle[]) => void }

/** The muscles that the deload acts on; all where none is chosen. */
const MuscleChoice = ({ chosen, onChoose }: MuscleProps) => (
  <fieldset className="col-span-2">
    <legend className="text-sm font-medium">
      Muscle groups <span className="font-normal text-bark">(none chosen: all)</span>
    </legend>
    <div className="mt-1 flex flex-wrap gap-1">
      {muscles.map((muscle) => (
        <Toggle
          key={muscle}
          label={muscle}
          isOn={chosen.includes(muscle)}
          onChange={(isOn) => onChoose(isOn ? [...chosen, muscle] : chosen.filter((one) => one !== muscle))}
        />
      ))}
    </div>
  </fieldset>
)

const starterOf = (kind: DeloadKind) =>
  draftOf(deloadOf[kind].params, deloadOf[kind].examples[0]?.params ?? {})

function Toggle({
  label,
  isOn,
  onChange,
}: {
  label: string
  isOn: boolean
  onChange: (isOn: boolean) => void
}) {
  return (
    <label
      className={`flex min-h-9 cursor-pointer items-center gap-1.5 rounded-md border px-2.5 text-sm ${isOn ? 'border-leaf bg-leaf-wash font-medium' : 'border-edge'}`}
    >
      <input
        type="checkbox"
        className="accent-leaf"
        checked={isOn}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  )
}
