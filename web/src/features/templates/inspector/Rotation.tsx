import { splitRests, type Phase, type Template } from '@young-oak/core/template'
import { Select } from '../../../ui/Select.tsx'
import { stepsOf, type Step } from './rotationSteps.ts'
import { Tiny } from './Tiny.tsx'

type Props = { draft: Template; phase: Phase; onSave: (rotation: string[], rest: number[]) => void }

const restDay = '+rest'

/** The sessions that rotate in a phase, in their order, with the days of rest between them. A session may stand in it more than once. */
export function Rotation({ draft, phase, onSave }: Props) {
  const { rotation, perWeek, layout } = phase
  const steps = stepsOf(phase)
  const save = (to: Step[]) => {
    const next = splitRests(to)
    onSave(next.rotation, next.rest)
  }
  const move = (from: number, by: number) => {
    const next = [...steps]
    next.splice(from + by, 0, ...next.splice(from, 1))
    save(next)
  }
  const nameOf = (step: Step, i: number) =>
    step === null ? `Day of rest ${i + 1}` : (draft.sessions[step]?.name ?? step)
  const choices = Object.entries(draft.sessions).map(([id, { name }]) => [id, name] as [string, string])
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">Session rotation</legend>
      <ol className="grid gap-1 text-sm">
        {steps.map((step, i) => (
          <li key={`${step}/${i}`} className="flex items-center gap-2">
            <span className="w-4 text-bark">{i + 1}</span>
            <span className={`grow ${step === null ? 'text-bark' : ''}`}>
              {step === null ? 'Day of rest' : nameOf(step, i)}
            </span>
            <Tiny
              label={`${nameOf(step, i)}, earlier`}
              isOff={i === 0 || (step === null && i === 1)}
              onClick={() => move(i, -1)}
            >
              up
            </Tiny>
            <Tiny
              label={`${nameOf(step, i)}, later`}
              isOff={i === steps.length - 1 || (i === 0 && steps[1] === null)}
              onClick={() => move(i, 1)}
            >
              down
            </Tiny>
            <Tiny
              label={`Take ${nameOf(step, i)} out`}
              isOff={step !== null && rotation.length < 2}
              onClick={() => save(steps.filter((_, j) => j !== i))}
            >
              out
            </Tiny>
          </li>
        ))}
      </ol>
      <Select
        aria-label="Add to the rotation"
        placeholder="Add to the rotation…"
        value=""
        options={layout?.weekdays ? choices : [...choices, [restDay, 'A day of rest']]}
        onChoose={(chosen) => save([...steps, chosen === restDay ? null : chosen])}
        className="mt-1 min-h-9 px-2 text-sm"
      />
      {rotation.length !== perWeek && (
        <p className="mt-1 text-sm text-bark">
          {rotation.length === 1 ? '1 session rotates' : `${rotation.length} sessions rotate`}, {perWeek} a
          week: each week continues the order.
        </p>
      )}
    </fieldset>
  )
}
