import type { Id } from '../../parsing/index.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { phaseName, placeAfter } from './phases.ts'

export const movePhase = defineCommand<{ do: 'movePhase'; phase: Id; from: Id | null; to: Id | null }>({
  do: 'movePhase',
  apply(draft, { phase: id, from, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    const before = draft.phases[draft.phases.indexOf(own) - 1]?.id ?? null
    if (before !== from) return changed(`The position of ${own.name}`, 'another')
    const others = { phases: draft.phases.filter((one) => one !== own) }
    const place = placeAfter(others, to)
    if (place === null) return gone('The phase before it')
    return { ...draft, phases: [...others.phases.slice(0, place), own, ...others.phases.slice(place)] }
  },
  check(checker, { phases }, { to }) {
    if (to !== null && !phases.some(({ id }) => id === to)) checker.add('phases', 'a phase to come after', to)
  },
  say: (_, draft, { phase }) => `${phaseName(draft, phase)} moved`,
  inverse: swapped,
  renew: fromNow(({ phases }, { phase }) => {
    const place = phases.findIndex(({ id }) => id === phase)
    return place < 0 ? undefined : (phases[place - 1]?.id ?? null)
  }),
})
