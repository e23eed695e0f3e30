import type { Circuit } from '@young-oak/core/template'
import { formatNumber, typedNumber } from '@young-oak/core/units'

/** A circuit as it is typed. */
export type CircuitDraft = { name: string; by: Circuit['by']; rounds: string; minutes: string }
export type CircuitFaults = Partial<Record<'name' | 'rounds' | 'minutes', string>>

export const newCircuit: CircuitDraft = { name: 'Circuit', by: 'time', rounds: '3', minutes: '' }

export const draftOf = ({ name, by, rounds, capSeconds }: Circuit): CircuitDraft => ({
  name,
  by,
  rounds: rounds === undefined ? newCircuit.rounds : String(rounds),
  minutes: capSeconds === undefined ? '' : formatNumber(capSeconds / 60),
})

/** What was typed as a circuit; or what is wrong with it, field by field. */
export function readCircuit(typed: CircuitDraft): { circuit: Circuit } | { faults: CircuitFaults } {
  const name = typed.name.trim().slice(0, 80)
  const [rounds, minutes] = [typedNumber(typed.rounds), typedNumber(typed.minutes)]
  const hasCap = typed.minutes.trim() !== '' || typed.by === 'rounds'
  const faults: CircuitFaults = {
    ...(!name && { name: 'Enter a name.' }),
    ...(typed.by === 'time' && !isWhole(rounds, 1, 100) && { rounds: 'Whole rounds, 1 to 100.' }),
    ...(hasCap &&
      !(typeof minutes === 'number' && minutes >= 0.5 && minutes <= 120) && {
        minutes: 'Minutes, 0.5 to 120.',
      }),
  }
  if (Object.keys(faults).length) return { faults }
  return {
    circuit: {
      name,
      by: typed.by,
      ...(typed.by === 'time' && { rounds: rounds as number }),
      ...(hasCap && { capSeconds: Math.round((minutes as number) * 60) }),
    },
  }
}

const isWhole = (value: unknown, from: number, to: number): boolean =>
  Number.isInteger(value) && (value as number) >= from && (value as number) <= to
