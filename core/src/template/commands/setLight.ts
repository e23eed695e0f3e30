import type { Adjustment } from '../../adjustments/index.ts'
import type { Id } from '../../parsing/index.ts'
import { readLight } from '../read/readAdjustment.ts'
import { phaseShape } from '../read/shape.ts'
import { rowWeeks } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { phaseName, withPhase } from './phases.ts'
import { same } from './values.ts'

export const setLight = defineCommand<{ do: 'setLight'; phase: Id; from: Adjustment[]; to: Adjustment[] }>({
  do: 'setLight',
  apply(draft, { phase: id, from, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    if (!same(own.light, from)) return changed(`The light weeks of ${own.name}`, own.light)
    return withPhase(draft, own, { ...own, light: to })
  },
  check(checker, draft, { phase: id, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own || !checker.check(phaseShape.pick(['light']), { light: to ?? null }, '')) return
    to.forEach((one, i) => void readLight(checker, one, `phases.${id}.light[${i}]`, rowWeeks(own)))
  },
  say: (_, draft, { phase }) => `${phaseName(draft, phase)}: light weeks`,
  inverse: swapped,
  renew: fromNow(({ phases }, { phase }) => phases.find(({ id }) => id === phase)?.light),
})
