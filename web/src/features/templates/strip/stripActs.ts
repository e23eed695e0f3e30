import type { KeyboardEvent } from 'react'
import type { Adjustment } from '@young-oak/core/adjustments'
import {
  addPhase,
  movePhase,
  repeatPhase,
  resizePhase,
  splitPhase,
  type Built,
} from '@young-oak/core/editing'
import { weekAt, type Command, type Phase, type Template } from '@young-oak/core/template'
import { mint } from '../mint.ts'

/** A step on a week of a phase, made of the template as it is when it is taken. */
export type Act = (draft: Template, phase: Phase, week: number) => Built

/** What a key on a week does with its phase. */
export function actOf({ key, altKey, ctrlKey, metaKey }: KeyboardEvent): Act | undefined {
  if (ctrlKey || metaKey) return undefined
  return altKey ? moves[key] : acts[key]
}

/** What an act on a week of the template comes to. */
export const actOn = (draft: Template, week: number, act: Act): Built => {
  const at = weekAt(draft, week)
  return at ? act(draft, at.phase, at.phaseWeek) : { fault: `There is no week ${week}.` }
}

const resizedBy =
  (by: number): Act =>
  (draft, { id, name, weeks }) =>
    typeof weeks === 'number'
      ? resizePhase(draft, id, weeks + by)
      : { fault: `${name} ends with a trigger: give it fixed weeks first.` }

/** A deload dropped on a week: two thirds of the sets and a tenth less load; on a week that is light, away again. */
export const deloadOn: Act = (_draft, phase, week) => {
  const isOn = ({ where }: Adjustment) => where.weeks?.includes(week)
  const kept = phase.deloads.flatMap((one): Adjustment[] => {
    if (!isOn(one)) return [one]
    const weeks = one.where.weeks?.filter((other) => other !== week) ?? []
    return weeks.length ? [{ ...one, where: { ...one.where, weeks } }] : []
  })
  const to = phase.deloads.some(isOn)
    ? kept
    : [
        ...phase.deloads,
        {
          id: mint(),
          do: { kind: 'scaleSets' as const, by: -40, round: 'nearest' as const },
          where: { weeks: [week] },
        },
        { id: mint(), do: { kind: 'scaleLoad' as const, by: -10 }, where: { weeks: [week] } },
      ]
  if (phase.ends)
    return { fault: 'This phase counts back from the test day: add its deloads in the inspector.' }
  const command: Command = { do: 'setDeloads', phase: phase.id, from: phase.deloads, to }
  return command
}

const moves: Record<string, Act> = {
  ArrowRight: (draft, { id }) => movePhase(draft, id, 1),
  ArrowLeft: (draft, { id }) => movePhase(draft, id, -1),
}

const acts: Record<string, Act> = {
  '+': resizedBy(1),
  '=': resizedBy(1),
  '-': resizedBy(-1),
  l: deloadOn,
  n: (draft, { id }) => addPhase(draft, id, { name: `Phase ${draft.phases.length + 1}`, weeks: 4 }, mint),
  s: (draft, { id }, week) => splitPhase(draft, id, week, mint),
  r: (draft, { id }) => repeatPhase(draft, id, mint),
}
