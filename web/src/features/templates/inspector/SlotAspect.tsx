import { useLibrary } from '../../library/useLibrary.ts'
import {
  exerciseOf,
  liftName,
  liftOf,
  muscles,
  readingWords,
  saySuits,
  setCounts,
  type Library,
  type Muscle,
} from '@young-oak/core/library'
import { setClock } from '@young-oak/core/editing'
import { explain } from '@young-oak/core/explain'
import { formatNumber } from '@young-oak/core/units'
import { formatCircuit, formatHandled } from '@young-oak/core/views'
import { rowClocks, sayAdjustment, type RowClock, type Slot, type Template } from '@young-oak/core/template'
import { SelectField } from '../../../ui/Field.tsx'
import { sentence } from '../../../ui/Why.tsx'
import type { Preview } from '../../../workers/planner.ts'
import { CircuitForm } from '../CircuitForm.tsx'
import { Answers, type Answer } from './Answers.tsx'
import { CapStep } from './CapStep.tsx'
import { SavedField } from './SavedField.tsx'
import type { Selected } from './selected.ts'
import { sayDetails } from './slotDetails.ts'
import { SlotDetails } from './SlotDetails.tsx'
import { usePut } from './usePut.ts'

type Props = { draft: Template; selected: Selected; preview: Preview | null; memberName?: string }

/** A slot: its exercise in words, what its lines say beside their cells, which muscles it counts for, and the chosen member's loads with their why. */
export function SlotAspect({ draft, selected, preview, memberName }: Props) {
  const library = useLibrary()
  const { put, fault } = usePut(draft)
  const { slot: id = '' } = selected
  const slot = draft.slots[id]
  if (!slot) return <p className="text-bark">Select a line of the sheet to see its exercise.</p>
  const { cue, caution, pattern, cost, spine, reads, substitutes = [] } = exerciseOf(library, slot)
  const suits = saySuits(exerciseOf(library, slot))
  return (
    <section aria-label={`Exercise ${liftName(library, slot)}`} className="grid gap-4">
      <div>
        <h3 className="text-lg">{liftName(library, slot)}</h3>
        <p className="text-sm text-bark">
          {cue} {sentence(pattern)}
          {suits && `, suits ${suits}`}; {readingWords[reads]}. Recovery cost {cost} of 5, spine load {spine}{' '}
          of 5.
          {substitutes.length > 0 &&
            ` Substitutes: ${substitutes.map((one) => liftName(library, { exercise: one as Slot['exercise'] }).toLowerCase()).join(', ')}.`}
        </p>
        {caution && <p className="mt-1 text-sm text-acorn">{caution}</p>}
      </div>
      <MemberWhy slotId={id} selected={selected} preview={preview} memberName={memberName} />
      <Tracks draft={draft} slotId={id} />
      <Answers key={id} answers={answersOf(library, { draft, selected, slot, put })} />
      {fault && (
        <p role="alert" className="text-sm text-brick">
          {fault}
        </p>
      )}
    </section>
  )
}

type AnswersOf = { draft: Template; selected: Selected; slot: Slot; put: ReturnType<typeof usePut>['put'] }

/** What can be set of a slot, and what is. */
function answersOf(library: Library, { draft, selected, slot, put }: AnswersOf): Answer[] {
  const { slot: id = '', phase = '', row = 0 } = selected
  const { variant, note, by, capStep, circuit, counts } = slot
  return [
    ...(circuit
      ? [
          {
            name: 'circuit',
            said: `Circuit: ${circuit.name}, ${formatCircuit(circuit)}`,
            field: (
              <CircuitForm
                key={JSON.stringify([id, circuit])}
                circuit={circuit}
                submit="Save circuit"
                onSave={(to) =>
                  void put({ do: 'setSlotField', slot: id, field: 'circuit', from: circuit, to })
                }
              />
            ),
          },
        ]
      : [
          {
            name: 'variant',
            said: variant ? `Variant: ${variant}` : null,
            field: (
              <SavedField
                label="Variant"
                hint="A grip, a stance or a range of motion. It has its own max."
                value={variant ?? ''}
                onSave={(to) => {
                  const lift = liftOf({ exercise: slot.exercise, variant: to.slice(0, 60) || undefined })
                  void put({ do: 'setExercise', slot: id, from: liftOf(slot), to: lift })
                }}
              />
            ),
          },
        ]),
    {
      name: 'note',
      said: note ? `Note for the member: ${note}` : null,
      field: (
        <SavedField
          label="Note for the member"
          value={note ?? ''}
          onSave={(to) =>
            void put({ do: 'setSlotField', slot: id, field: 'note', from: note ?? null, to: to || null })
          }
        />
      ),
    },
    {
      name: 'how sets are chosen',
      said: by === 'week' ? null : `Sets are chosen by ${clockWords[by]}`,
      field: (
        <SelectField
          label="Sets are chosen by"
          value={by}
          onChange={(event) => put(setClock(library, draft, id, event.target.value as RowClock))}
        >
          {rowClocks.map((clock) => (
            <option key={clock} value={clock}>
              {clockWords[clock]}
            </option>
          ))}
        </SelectField>
      ),
    },
    ...(by === 'toTest' && capStep
      ? [
          {
            name: 'cap',
            said: `Capped at ${formatNumber(capStep.kg)} kg (${formatNumber(capStep.lb)} lb) above the heaviest load trained in the phase`,
            field: (
              <CapStep
                step={capStep}
                onSave={(to) =>
                  void put({ do: 'setSlotField', slot: id, field: 'capStep', from: capStep, to })
                }
              />
            ),
          },
        ]
      : []),
    {
      name: 'muscles',
      said: counts
        ? `A set counts for ${Object.entries(counts)
            .map(([muscle, count]) => `${muscle} ${formatNumber(count)}`)
            .join(', ')}`
        : null,
      field: (
        <Counts
          slot={slot}
          onSave={(to) => put({ do: 'setSlotField', slot: id, field: 'counts', from: counts ?? null, to })}
        />
      ),
    },
    {
      name: 'details of the sets',
      said: sayDetails(library, slot, phase, row),
      isOpen: selected.opens === 'details',
      field: <SlotDetails draft={draft} slotId={id} phase={phase} row={row} />,
    },
  ]
}

const clockWords: Record<RowClock, string> = {
  week: 'the week of the phase',
  exposure: 'the exposure (first, second…), starting again after the last',
  day: 'the day of the week (day 1, day 2…)',
  toTest: 'the weeks to the test day',
}

type WhyProps = { slotId: string; selected: Selected; preview: Preview | null; memberName?: string }

/** The ladder of the chosen member's load in the week that is open, rung by rung. */
function MemberWhy({ slotId, selected, preview, memberName }: WhyProps) {
  if (!memberName)
    return (
      <p className="text-sm text-bark">
        Choose a member above (“Loads of”) to see how each load is worked out.
      </p>
    )
  const planned = preview?.weeks
    .filter((week) => week.phase === selected.phase && week.phaseWeek === (selected.row ?? 0) + 1)
    .flatMap(({ places }) => places)
    .flatMap(({ slots }) => slots)
    .find(({ slot }) => slot === slotId)
  const prescriptions = planned?.sets.filter(({ load }) => load) ?? []
  if (!prescriptions.length)
    return <p className="text-sm text-bark">{memberName} has no load in this week.</p>
  return (
    <div className="text-sm">
      {prescriptions.map((prescribed) => (
        <div key={prescribed.prescription} className="mb-2">
          <p className="font-serif font-semibold">
            {memberName}: {prescribed.load && formatHandled(prescribed, prescribed.load)}
          </p>
          <ol className="border-l-2 border-leaf">
            {prescribed.why.map((step, i) => (
              <li key={i} className="py-0.5 pl-3">
                {sentence(explain(step))}
              </li>
            ))}
          </ol>
        </div>
      ))}
    </div>
  )
}

/** What tracks change of this very slot. */
function Tracks({ draft, slotId }: { draft: Template; slotId: string }) {
  const library = useLibrary()
  const said = Object.values(draft.tracks).flatMap(({ name, changes }) =>
    changes
      .filter(({ where }) => where.slots?.includes(slotId))
      .map((change) => `${name}: ${sayAdjustment(library, draft, change).what}`),
  )
  return said.length ? <p className="text-sm">In tracks: {said.join('; ')}.</p> : null
}

type CountProps = { slot: Slot; onSave: (to: Partial<Record<Muscle, number>> | null) => void }

/** What a set of the slot counts for each muscle: 1, 0.5 or nothing, as the exercise says or otherwise. */
function Counts({ slot, onSave }: CountProps) {
  const library = useLibrary()
  const { direct, indirect } = exerciseOf(library, slot)
  const works = muscles.filter(
    (one) => direct.includes(one) || indirect.includes(one) || slot.counts?.[one] !== undefined,
  )
  const set = (muscle: Muscle, to: number) => {
    const { [muscle]: _, ...others } = slot.counts ?? {}
    const own = setCounts(library, slot, muscle) === to ? others : { ...others, [muscle]: to }
    onSave(Object.keys(own).length ? own : null)
  }
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">A set counts for</legend>
      <ul className="grid grid-cols-2 gap-x-4 gap-y-1 text-sm">
        {works.map((muscle) => (
          <li key={muscle} className="flex items-center justify-between gap-2">
            <label className="flex w-full items-center justify-between gap-2">
              {muscle}
              <select
                value={setCounts(library, slot, muscle, slot.counts)}
                onChange={(event) => set(muscle, Number(event.target.value))}
                className="min-h-8 rounded-md border border-edge bg-sheet px-1"
              >
                {[1, 0.5, 0].map((count) => (
                  <option key={count} value={count}>
                    {count}
                    {count === setCounts(library, slot, muscle) ? ' (usual)' : ''}
                  </option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
      <select
        aria-label="Count sets for another muscle"
        value=""
        onChange={(event) => event.target.value && set(event.target.value as Muscle, 0.5)}
        className="mt-1 min-h-8 rounded-md border border-edge bg-sheet px-1 text-sm"
      >
        <option value="">Another muscle…</option>
        {muscles
          .filter((one) => !works.includes(one))
          .map((one) => (
            <option key={one}>{one}</option>
          ))}
      </select>
    </fieldset>
  )
}
