import { useLibrary } from '../../library/useLibrary.ts'
import {
  addPhase,
  type Built,
  movePhase,
  removePhase,
  repeatPhase,
  resizePhase,
  setRotation,
  setTestDay,
  splitPhase,
} from '@young-oak/core/editing'
import { triggerKinds, triggerOf, type TriggerBasis, type TriggerKind } from '@young-oak/core/triggers'
import {
  nominalWeeks,
  progressionName,
  type Length,
  type Phase,
  type Template,
} from '@young-oak/core/template'
import { Alert } from '../../../ui/Alert.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Mark } from '../../../ui/Mark.tsx'
import { SelectField } from '../../../ui/Select.tsx'
import { mint } from '../mint.ts'
import { ActButtons } from './ActButtons.tsx'
import { Answers } from './Answers.tsx'
import { defaultsAnswer } from './defaultsAnswer.tsx'
import { Deloads } from './Deloads.tsx'
import { layoutAnswer } from './layoutAnswer.tsx'
import { Rotation } from './Rotation.tsx'
import { SavedField } from './SavedField.tsx'
import type { Drafted } from './useAsked.ts'
import { usePut } from './usePut.ts'
import { ZoneTable } from './ZoneTable.tsx'

/** Triggers that need training to fire: how many weeks a phase has is its least and most. */
const trained = triggerKinds.filter((kind) => !triggerOf[kind].isDue)

type Props = Drafted & { phase?: string; week?: number }

/** A phase: its name and length, the sessions that turn in it, what its slots inherit, its deloads. */
export function PhaseAspect({ phase: id, week = 0, ...drafted }: Props) {
  const { draft } = drafted
  const { put, fault } = usePut(draft)
  const phase = draft.phases.find((one) => one.id === id) ?? draft.phases[0]
  if (!phase) return null
  const weeks = nominalWeeks(phase)
  const isLast = draft.phases[draft.phases.length - 1] === phase
  return (
    <section aria-label={`Phase ${phase.name}`} className="grid gap-4">
      <div className="grid grid-cols-[1fr_5rem_5rem] gap-3">
        <SavedField
          label="Name of the phase"
          value={phase.name}
          onSave={(to) => {
            if (!to) return 'A phase needs a name.'
            put({ do: 'setPhase', phase: phase.id, field: 'name', from: phase.name, to })
          }}
        />
        {typeof phase.weeks === 'number' ? (
          <SavedField
            label="Weeks"
            inputMode="numeric"
            value={String(weeks)}
            onSave={(to) => sayWhole(to, 1, 60) ?? void put(resizePhase(draft, phase.id, Number(to)))}
          />
        ) : (
          <p className="text-sm text-bark">
            {phase.weeks.least} to {phase.weeks.most} weeks
          </p>
        )}
        <SavedField
          label="A week"
          inputMode="numeric"
          value={String(phase.perWeek)}
          onSave={(to) =>
            sayWhole(to, 1, 14) ?? void put(setRotation(draft, phase.id, phase.rotation, Number(to)))
          }
        />
      </div>
      <LengthFields draft={draft} phase={phase} onSave={(to) => put(resizePhase(draft, phase.id, to))} />
      <Rotation
        draft={draft}
        phase={phase}
        onSave={(rotation, rest) => put(setRotation(draft, phase.id, rotation, phase.perWeek, rest))}
      />
      <Answers
        key={phase.id}
        answers={[
          layoutAnswer({
            phase,
            onSave: (to) =>
              put({ do: 'setPhase', phase: phase.id, field: 'layout', from: phase.layout ?? null, to }),
          }),
          defaultsAnswer({
            defaults: phase.defaults,
            of: 'phase',
            onSave: (to) =>
              put({ do: 'setPhase', phase: phase.id, field: 'defaults', from: phase.defaults ?? null, to }),
          }),
        ]}
      />
      {isLast && (
        <Mark
          label="The phase ends with the test day; its weeks count back from the test day"
          isOn={phase.ends !== undefined}
          onChange={(isOn) => put(setTestDay(draft, isOn))}
        />
      )}
      <Alert className="rounded bg-brick-wash px-2 py-1">{fault}</Alert>
      <ZoneTable
        key={`zones/${phase.id}`}
        {...drafted}
        phase={phase.id}
        phaseWeek={Math.min(week + 1, weeks)}
      />
      <PhaseActs draft={draft} phase={phase} week={week} put={put} />
      <Deloads draft={draft} only={phase.id} />
    </section>
  )
}

type ActsProps = {
  draft: Template
  phase: Phase
  week: number
  put: ReturnType<typeof usePut>['put']
}

/** What can be done with a phase as a whole. */
function PhaseActs({ draft, phase, week, put }: ActsProps) {
  const library = useLibrary()
  const { id } = phase
  const split = Math.min(Math.max(week + 1, 1), Math.max(nominalWeeks(phase) - 1, 1))
  const name = `Phase ${draft.phases.length + 1}`
  const acts: [string, () => Built | null][] = [
    ['Add a phase after this one', () => addPhase(draft, id, { name, weeks: 4 }, mint)],
    ['Repeat this phase', () => repeatPhase(draft, id, mint)],
    [`Split after week ${split}`, () => splitPhase(draft, id, split, mint)],
    ['Move phase earlier', () => movePhase(draft, id, -1)],
    ['Move phase later', () => movePhase(draft, id, 1)],
    ['Remove phase', () => removePhase(library, draft, id)],
  ]
  return <ActButtons acts={acts} put={put} />
}

export const sayWhole = (typed: string, from: number, to: number): string | undefined =>
  /^\d+$/.test(typed) && Number(typed) >= from && Number(typed) <= to ? undefined : `${from} to ${to}.`

type LengthProps = { draft: Template; phase: Phase; onSave: (to: Length) => void }

/** A fixed length, or at least so many weeks until a sign of some lift shows. */
function LengthFields({ draft, phase, onSave }: LengthProps) {
  const library = useLibrary()
  const progressions = Object.keys(draft.progressions)
  const { weeks } = phase
  if (typeof weeks === 'number') {
    const [first] = progressions
    if (first === undefined) return null
    const until = { ...usualTrigger('stalled'), progression: first }
    return (
      <Button
        look="quiet"
        className="-ml-3.5 justify-self-start text-sm"
        onClick={() => onSave({ least: weeks, most: Math.min(weeks * 2, 60), until })}
      >
        End the phase by a trigger…
      </Button>
    )
  }
  const put = (change: Partial<typeof weeks>) => onSave({ ...weeks, ...change })
  return (
    <fieldset className="grid grid-cols-2 gap-3">
      <legend className="mb-1 text-sm font-medium">
        The phase ends with the week in which a trigger fires
      </legend>
      <SavedField
        label="At least, weeks"
        inputMode="numeric"
        value={String(weeks.least)}
        onSave={(to) => sayWhole(to, 1, weeks.most) ?? void put({ least: Number(to) })}
      />
      <SavedField
        label="At most, weeks"
        inputMode="numeric"
        value={String(weeks.most)}
        onSave={(to) => sayWhole(to, weeks.least, 60) ?? void put({ most: Number(to) })}
      />
      <SelectField
        label="Of"
        value={weeks.until.progression}
        options={progressions.map((id) => [id, progressionName(library, draft, id)])}
        onChoose={(progression) => put({ until: { ...weeks.until, progression } })}
      />
      <SelectField
        label="Trigger"
        value={weeks.until.trigger}
        options={trained.map((kind) => [kind, triggerOf[kind].title])}
        onChoose={(kind) => put({ until: { ...usualTrigger(kind), progression: weeks.until.progression } })}
      />
      <Button
        look="quiet"
        className="col-span-2 -ml-3.5 justify-self-start text-sm"
        onClick={() => onSave(weeks.least)}
      >
        Use fixed weeks
      </Button>
    </fieldset>
  )
}

const usualTrigger = (trigger: TriggerKind): TriggerBasis =>
  ({ trigger, ...triggerOf[trigger].examples[0]?.params }) as TriggerBasis
