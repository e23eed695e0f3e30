import type { Id } from '../parsing/index.ts'
import { slotsOf, type Command, type Session, type Template } from '../template/index.ts'
import { layoutFor, layoutStep } from './fitLayout.ts'
import { step, type Built, type Mint } from './built.ts'
import { rowsFor, setRotation } from './phases.ts'
import { reading } from './slots.ts'

/** An empty session at the end of a phase's rotation; where the week holds each session once, it holds this one too. */
export function addSession(draft: Template, phase: Id, name: string, mint: Mint): Built {
  const own = draft.phases.find(({ id }) => id === phase)
  if (!own) return { fault: 'This phase is no longer there.' }
  const id = mint()
  const value: Session = { name, sections: [{ name: 'Main', slots: [] }] }
  return step(`Session added: ${name}`, [
    { do: 'addSession', session: id, value },
    ...inTurn(draft, phase, id),
  ])
}

/** A session once more, with slots of its own that follow the same progressions: at a place of the phase's order, else at its end. */
export function copySession(draft: Template, session: Id, phase: Id, mint: Mint, at?: number): Built {
  const own = draft.sessions[session]
  if (!own) return noSession
  const id = mint()
  const ids = new Map(slotsOf(own).map((slot) => [slot, mint()]))
  const name = `${own.name}, copy`
  const value = { ...own, name, sections: own.sections.map((part) => ({ ...part, slots: [] as Id[] })) }
  const added = own.sections.flatMap((part) =>
    part.slots.flatMap((slot, i): Command[] => {
      const copy = draft.slots[slot]
      const after = ids.get(part.slots[i - 1] ?? '') ?? ''
      return copy
        ? [
            {
              do: 'addSlot',
              slot: ids.get(slot) ?? '',
              session: id,
              section: part.name,
              after,
              value: reading(copy, ids),
            },
          ]
        : []
    }),
  )
  const bare = value.sections.map(({ rotation: _, ...part }) => part)
  const turned = own.sections.some(({ rotation: turns }) => turns)
  const full = own.sections.map((part) => ({
    ...part,
    slots: part.slots.map((slot) => ids.get(slot) ?? slot),
  }))
  const between = full.map(({ rotation: _, ...part }) => part)
  return step(`${own.name} copied`, [
    { do: 'addSession', session: id, value: { ...value, sections: bare } },
    ...added,
    ...(turned ? [{ do: 'setSections', session: id, from: between, to: full } as Command] : []),
    ...inTurn(draft, phase, id, at),
  ])
}

/** A session one place earlier or later in the order in which a phase's sessions turn. */
export function moveSession(draft: Template, phase: Id, session: Id, by: -1 | 1): Built {
  const own = draft.phases.find(({ id }) => id === phase)
  const from = own?.rotation.indexOf(session) ?? -1
  const to = from + by
  if (!own || from < 0) return noSession
  if (to < 0 || to >= own.rotation.length) return { fault: 'The session is already at that end of the week.' }
  return placeSession(draft, phase, session, to)
}

/** A session at a place, from 0, of the order in which a phase's sessions turn. */
export function placeSession(draft: Template, phase: Id, session: Id, to: number): Built {
  const own = draft.phases.find(({ id }) => id === phase)
  if (!own?.rotation.includes(session)) return noSession
  const rotation = own.rotation.filter((one) => one !== session)
  rotation.splice(to, 0, session)
  return setRotation(draft, phase, rotation, own.perWeek)
}

const noSession = { fault: 'This session is no longer there.' }

/** A session into a phase's rotation; it is told apart from those that are there by its id alone. */
function inTurn(draft: Template, phase: Id, session: Id, at?: number): Command[] {
  const own = draft.phases.find(({ id }) => id === phase)
  if (!own) return []
  const isOnce = own.rotation.length === own.perWeek
  const rotation = [...own.rotation]
  rotation.splice(at ?? rotation.length, 0, session)
  const perWeek = isOnce && own.perWeek < 14 ? own.perWeek + 1 : own.perWeek
  const place = at ?? rotation.length
  const rest = own.layout?.rest?.map((after) => (after > place ? after + 1 : after))
  return [
    ...rowsFor(draft, session, own),
    { do: 'setPhase', phase, field: 'rotation', from: own.rotation, to: rotation },
    ...(perWeek === own.perWeek
      ? []
      : [{ do: 'setPhase', phase, field: 'perWeek', from: own.perWeek, to: perWeek } as Command]),
    ...layoutStep(own, layoutFor(own, rotation, perWeek, rest)),
  ]
}
