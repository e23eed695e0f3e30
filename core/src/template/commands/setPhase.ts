import type { Id } from '../../parsing/index.ts'
import { phaseShape } from '../read/shape.ts'
import { findLayout } from '../read/readLayout.ts'
import type { Layout, Phase } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { findUnknown, phaseName, withPhase } from './phases.ts'
import { fieldOf, same, withField } from './values.ts'

type Field = keyof typeof fieldNames
type Value = Phase[Field] | null

const fieldNames = {
  name: 'name',
  rotation: 'session rotation',
  perWeek: 'sessions a week',
  ends: 'end',
  defaults: 'what its exercises inherit',
  layout: 'days of its sessions',
} satisfies Partial<Record<keyof Phase, string>>

export const setPhase = defineCommand<{ do: 'setPhase'; phase: Id; field: Field; from: Value; to: Value }>({
  do: 'setPhase',
  apply(draft, { phase: id, field, from, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    if (!same(own[field] ?? null, from)) return changed(`${own.name}, ${fieldNames[field]},`, own[field])
    return withPhase(draft, own, withField(own, field, to))
  },
  check(checker, draft, { phase: id, field, to }) {
    const path = `phases.${id}`
    if (to === null && field !== 'ends' && field !== 'defaults' && field !== 'layout')
      return checker.add(`${path}.${field}`, 'a value', to)
    if (to !== null) checker.check(phaseShape.pick([field]), { [field]: to }, path)
    const own = draft.phases.find((one) => one.id === id)
    if (field === 'layout' && to !== null && own) findLayout(checker, { ...own, layout: to as Layout }, path)
    if (field === 'rotation' && Array.isArray(to)) findUnknown(checker, draft, to, path)
  },
  say: (_, draft, { phase, field }) => `${phaseName(draft, phase)}: ${fieldNames[field]} changed`,
  inverse: swapped,
  renew: fromNow(({ phases }, { phase, field }) =>
    fieldOf(
      phases.find(({ id }) => id === phase),
      field,
    ),
  ),
})
