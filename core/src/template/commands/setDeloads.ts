import type { Adjustment } from '../../adjustments/index.ts'
import type { Id } from '../../parsing/index.ts'
import { readDeload } from '../read/readAdjustment.ts'
import { phaseShape } from '../read/shape.ts'
import { rowWeeks } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { phaseName, withPhase } from './phases.ts'
import { same } from './values.ts'

export const setDeloads = defineCommand<{
  do: 'setDeloads'
  phase: Id
  from: Adjustment[]
  to: Adjustment[]
}>({
  do: 'setDeloads',
  apply(draft, { phase: id, from, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    if (!same(own.deloads, from)) return changed(`The deloads of ${own.name}`, own.deloads)
    return withPhase(draft, own, { ...own, deloads: to })
  },
  check(checker, draft, { phase: id, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own || !checker.check(phaseShape.pick(['deloads']), { deloads: to ?? null }, '')) return
    to.forEach((one, i) => void readDeload(checker, one, `phases.${id}.deloads[${i}]`, rowWeeks(own)))
  },
  say: (_, draft, { phase }) => `${phaseName(draft, phase)}: deloads`,
  inverse: swapped,
  renew: fromNow(({ phases }, { phase }) => phases.find(({ id }) => id === phase)?.deloads),
})
