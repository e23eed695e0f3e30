import { wholeField, type Checker } from '../../reading/index.ts'
import { readLength, readRows } from '../read.ts'
import { readLight } from '../readAdjustment.ts'
import { limits, phaseShape } from '../shape.ts'
import { nominalWeeks, rowWeeks, type Id, type Phase, type SetGroup, type Template } from '../types.ts'
import { changed, defineCommand, gone, same, withField, type PhaseField, type PhaseRows } from './command.ts'

/** A phase with the rows that slots have in it, behind another or, after none, first. */
export const addPhase = defineCommand<'addPhase'>({
  apply(draft, { phase: id, after, value, rows }) {
    if (draft.phases.some((one) => one.id === id)) return changed(`The phase ${value.name}`, 'there already')
    const place = placeAfter(draft, after)
    if (place === null) return gone('The phase before it')
    const phases = [...draft.phases.slice(0, place), value, ...draft.phases.slice(place)]
    const slots = { ...draft.slots }
    for (const [slot, list] of Object.entries(rows)) {
      const own = slots[slot]
      if (own) slots[slot] = { ...own, rows: { ...own.rows, [id]: list } }
    }
    return { ...draft, phases, slots }
  },
  check(checker, draft, { phase: id, value, rows }) {
    const path = `phases.${id}`
    const { weeks: _, light: __, ...head } = value
    checker.check(phaseShape.pick(['id', 'name', 'rotation', 'perWeek', 'ends', 'defaults']), head, path)
    if (value.id !== id) checker.add(`${path}.id`, `the id ${id}`, value.id)
    if (!readLength(checker, value.weeks, `${path}.weeks`)) return
    value.light.forEach((one, i) => void readLight(checker, one, `${path}.light[${i}]`, rowWeeks(value)))
    findUnknown(checker, draft, value.rotation, path)
    findTooLong(checker, [...draft.phases, value])
    if (draft.phases.length >= limits.phases) checker.add('phases', `at most ${limits.phases} phases`, id)
    for (const [slot, list] of Object.entries(rows)) {
      const own = draft.slots[slot]
      if (own) readRows(checker, list, `slots.${slot}.rows.${id}`, own.by, value)
    }
  },
  say: (_, { value }) => `Phase added: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'removePhase' }),
})

export const removePhase = defineCommand<'removePhase'>({
  apply(draft, { phase: id, value, rows }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone(`The phase ${value.name}`)
    if (!same(own, value)) return changed(`The phase ${value.name}`, 'something else')
    if (!same(rowsOf(draft, id), rows)) return changed(`The sets of ${value.name}`, 'something else')
    const slots = Object.fromEntries(
      Object.entries(draft.slots).map(([slot, one]) => {
        const { [id]: gone, ...others } = one.rows
        return [slot, gone ? { ...one, rows: others } : one]
      }),
    )
    return { ...draft, phases: draft.phases.filter((one) => one !== own), slots }
  },
  check(checker, draft) {
    if (draft.phases.length < 2)
      checker.add('phases', 'at least one phase', draft.phases.length, 'Add another phase first.')
  },
  say: (_, { value }) => `Phase removed: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'addPhase' }),
})

/** The rows that slots have in a phase. */
export const rowsOf = ({ slots }: Pick<Template, 'slots'>, phase: Id): PhaseRows =>
  Object.fromEntries(
    Object.entries(slots).flatMap(([id, { rows }]) => (rows[phase] ? [[id, rows[phase]]] : [])),
  )

export const movePhase = defineCommand<'movePhase'>({
  apply(draft, { phase: id, from, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    const before = draft.phases[draft.phases.indexOf(own) - 1]?.id ?? null
    if (before !== from) return changed(`The place of ${own.name}`, 'another')
    const others = { phases: draft.phases.filter((one) => one !== own) }
    const place = placeAfter(others, to)
    if (place === null) return gone('The phase before it')
    return { ...draft, phases: [...others.phases.slice(0, place), own, ...others.phases.slice(place)] }
  },
  check: (checker, { phases }, { to }) => {
    if (to !== null && !phases.some(({ id }) => id === to))
      checker.add('phases', 'a phase to stand behind', to)
  },
  say: ({ phases }, { phase }) => `${nameOf(phases, phase)} moved`,
})

function placeAfter({ phases }: Pick<Template, 'phases'>, after: Id | null): number | null {
  if (after === null) return 0
  const place = phases.findIndex(({ id }) => id === after)
  return place < 0 ? null : place + 1
}

export const setPhase = defineCommand<'setPhase'>({
  apply(draft, { phase: id, field, from, to }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    if (!same(own[field] ?? null, from)) return changed(`${own.name}, ${phaseNames[field]},`, own[field])
    return withPhase(draft, own, withField(own, field, to))
  },
  check(checker, draft, { phase: id, field, to }) {
    const path = `phases.${id}`
    if (to === null && field !== 'ends' && field !== 'defaults')
      return checker.add(`${path}.${field}`, 'a value', to)
    if (to !== null) checker.check(phaseShape.pick([field]), { [field]: to }, path)
    if (field === 'rotation' && Array.isArray(to)) findUnknown(checker, draft, to, path)
  },
  say: ({ phases }, { phase, field }) => `${nameOf(phases, phase)}: ${phaseNames[field]} changed`,
})

const phaseNames: Record<PhaseField, string> = {
  name: 'name',
  rotation: 'sessions in turn',
  perWeek: 'sessions a week',
  ends: 'end',
  defaults: 'what its slots inherit',
}

/** A phase's length, with the rows that its weeks have: added at the end, or taken from it. */
export const setWeeks = defineCommand<'setWeeks'>({
  apply(draft, { phase: id, from, to, rows }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    if (!same(own.weeks, from)) return changed(`The length of ${own.name}`, own.weeks)
    const after = { ...own, weeks: to }
    const [was, is] = [rowWeeks(own), rowWeeks(after)]
    const slots = { ...draft.slots }
    for (const [slotId, slot] of Object.entries(draft.slots)) {
      const list = slot.rows[id]
      if (!list || slot.by !== 'week' || was === is) continue
      const next = resized(list, was, is, rows[slotId] ?? [])
      if (!next) return changed(`The last weeks of ${own.name}`, 'something else')
      slots[slotId] = { ...slot, rows: { ...slot.rows, [id]: next } }
    }
    return withPhase({ ...draft, slots }, own, after)
  },
  check(checker, draft, { phase: id, to, rows }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own || !readLength(checker, to, `phases.${id}.weeks`)) return
    const after = { ...own, weeks: to }
    findTooLong(
      checker,
      draft.phases.map((one) => (one === own ? after : one)),
    )
    for (const [slot, list] of Object.entries(rows))
      if (list.length) readRows(checker, list, `slots.${slot}.rows.${id}`, 'exposure', after)
  },
  say: ({ phases }, { phase, from, to }) =>
    `${nameOf(phases, phase)}: ${nominalWeeks({ weeks: from } as Phase)} → ${nominalWeeks({ weeks: to } as Phase)} weeks`,
})

/** Rows made longer by what is given, the last one again where there is none; or shorter, where the ones taken are those that were meant. */
function resized(list: SetGroup[][], was: number, is: number, rows: SetGroup[][]): SetGroup[][] | null {
  if (is < was) return same(list.slice(is), rows) ? list.slice(0, is) : null
  const last = list[list.length - 1] ?? []
  return [...list, ...Array.from({ length: is - was }, (_, i) => rows[i] ?? last)]
}

export const setLight = defineCommand<'setLight'>({
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
  say: ({ phases }, { phase }) => `${nameOf(phases, phase)}: light weeks`,
})

const withPhase = (draft: Template, own: Phase, next: Phase): Template => ({
  ...draft,
  phases: draft.phases.map((one) => (one === own ? next : one)),
})

const nameOf = (phases: Phase[], id: Id): string => phases.find((one) => one.id === id)?.name ?? 'Phase'

function findUnknown(checker: Checker, { sessions }: Template, rotation: readonly Id[], path: string): void {
  for (const session of rotation)
    if (!sessions[session])
      checker.add(`${path}.rotation`, 'sessions of this template', session, 'Add the session first.')
}

function findTooLong(checker: Checker, phases: Phase[]): void {
  const weeks = phases.reduce((sum, phase) => sum + nominalWeeks(phase), 0)
  checker.check(wholeField('weeks in all', 1, limits.weeks), weeks, 'phases')
}
