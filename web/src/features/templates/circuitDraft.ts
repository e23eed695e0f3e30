import type { CircuitSettings } from '@young-oak/api/forms/circuit'
import type { Circuit } from '@young-oak/core/template'
import { formatNumber } from '@young-oak/core/units'

/** A circuit as it is typed. */
export type CircuitDraft = { name: string; by: Circuit['by']; rounds: string; minutes: string }

export const newCircuit: CircuitDraft = { name: 'Circuit', by: 'time', rounds: '3', minutes: '' }

export const draftOf = ({ name, by, rounds, capSeconds }: Circuit): CircuitDraft => ({
  name,
  by,
  rounds: rounds === undefined ? newCircuit.rounds : String(rounds),
  minutes: capSeconds === undefined ? '' : formatNumber(capSeconds / 60),
})

export const circuitOf = ({ name, by, rounds, minutes }: CircuitSettings): Circuit => ({
  name,
  by,
  ...(rounds !== undefined && { rounds }),
  ...(minutes !== undefined && { capSeconds: Math.round(minutes * 60) }),
})
