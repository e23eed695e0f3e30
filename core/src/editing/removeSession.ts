import type { Library } from '../library/index.ts'
import type { Id } from '../parsing/index.ts'
import { slotsOf, type Command, type Template } from '../template/index.ts'
import { step, type Built } from './built.ts'
import { layoutFor, layoutStep } from './fitLayout.ts'
import { changesOf } from './phaseFollowers.ts'
import { removal } from './removeSlots.ts'

/** A session with its slots, out of every phase and track. */
export function removeSession(library: Library, draft: Template, session: Id): Built {
  const own = draft.sessions[session]
  if (!own) return { fault: 'This session is no longer there.' }
  const alone = draft.phases.find(({ rotation }) => rotation.every((id) => id === session))
  if (alone) return { fault: `${own.name} is the only session of ${alone.name}. Add another one first.` }
  const removed = removal(library, draft, slotsOf(own))
  if ('fault' in removed) return removed
  const without = { ...own, sections: own.sections.map((part) => ({ ...part, slots: [] as Id[] })) }
  return step(`Session removed: ${own.name}`, [
    ...draft.phases.flatMap((phase): Command[] => {
      const { id, rotation, perWeek } = phase
      if (!rotation.includes(session)) return []
      const kept = rotation.filter((one) => one !== session)
      const isOnce = rotation.length === perWeek
      const rest = phase.layout?.rest?.map(
        (after) => rotation.slice(0, after).filter((one) => one !== session).length,
      )
      const layout = layoutFor(
        phase,
        kept,
        isOnce ? kept.length : perWeek,
        rest?.map((after) => after || kept.length),
      )
      return [
        { do: 'setPhase', phase: id, field: 'rotation', from: rotation, to: kept },
        ...(isOnce
          ? [{ do: 'setPhase', phase: id, field: 'perWeek', from: perWeek, to: kept.length } as Command]
          : []),
        ...layoutStep(phase, layout),
      ]
    }),
    ...changesOf(draft, (one) => {
      const { where, do: change } = one
      if (change.kind === 'rotation' && change.rotation.includes(session)) {
        const rotation = change.rotation.filter((id) => id !== session)
        return rotation.length ? [{ ...one, do: { ...change, rotation } }] : []
      }
      if (!where.sessions?.includes(session)) return [one]
      const sessions = where.sessions.filter((id) => id !== session)
      return sessions.length ? [{ ...one, where: { ...where, sessions } }] : []
    }),
    ...removed.commands,
    { do: 'removeSession', session, value: without },
  ])
}
