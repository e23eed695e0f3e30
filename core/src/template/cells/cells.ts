import type { Library } from '../../library/index.ts'
import type { Schema } from 'yup'
import { goalKeys, goalOf, goalShapes, kindOf } from '../../goals/index.ts'
import { bandBefore, formatBand, sourceKinds, sourceOf, type LoadBasis } from '../../loads/index.ts'
import { percentField } from '../../parsing/index.ts'
import { formatRest, formatSeconds, highest, parseRest, parseSeconds } from '../../units/index.ts'
import { isOverMax } from '../computed.ts'
import { limits, setPrescriptionShape } from '../read/shape.ts'
import {
  fixable,
  setKinds,
  setStyles,
  type Fixable,
  type SetPrescription,
  type Slot,
  type Template,
} from '../types.ts'

/** The cells of a prescription, in the order of a week sheet. */
export const cellFields = ['sets', 'goal', 'load', 'rir', 'rest'] as const
/** What else is said of a prescription, where it is said. */
export const detailFields = [
  'tempo',
  'perSide',
  'option',
  'roundRest',
  'style',
  'bands',
  'least',
  'stop',
  'kind',
  'over',
] as const
export type SheetField = (typeof cellFields)[number]
export type CellField = SheetField | (typeof detailFields)[number] | 'fixed'

/** What a cell is called. */
export const cellNames: Record<CellField, string> = {
  sets: 'sets',
  goal: 'reps',
  load: 'load',
  rir: 'RIR',
  rest: 'rest',
  tempo: 'tempo',
  perSide: 'each side',
  option: 'another way',
  roundRest: 'rest after the round',
  style: 'style',
  bands: 'bands',
  least: 'the fewest sets',
  stop: 'stop trigger',
  kind: 'part',
  over: 'more than the 1RM',
  fixed: 'fixed here',
}

/** A cell as it is read and typed: "3", "8-10", "5+", "0:45", "75%", "75% TM", "rule", "free", "2", "3:00", "31X0". */
export function formatCell(library: Library, field: CellField, prescribed: SetPrescription): string {
  const { sets, least, stop } = prescribed
  const write: Partial<Record<CellField, () => string>> = {
    sets: () => (least === undefined || stop !== undefined || least >= sets ? `${sets}` : `${least}-${sets}`),
    goal: () => kindOf(prescribed.goal).cell(prescribed.goal),
    load: () => sourceOf[prescribed.load.of].cell(prescribed.load, library),
    option: () => (prescribed.option ? `${prescribed.option.percent}% ${prescribed.option.say}` : ''),
    rest: () => (prescribed.rest === undefined ? '' : formatRest(prescribed.rest)),
    roundRest: () => (prescribed.roundRest === undefined ? '' : formatSeconds(prescribed.roundRest)),
    fixed: () => (prescribed.fixed ?? []).map((cell) => fixedWords[cell]).join(' and '),
  }
  const value = prescribed[field]
  return write[field]?.() ?? (value === undefined ? '' : value === true ? 'yes' : String(value))
}

/** What is said of a prescription beside its cells, field by field: the fewest sets stand with the sets, where nothing ends them. */
export const detailsSaid = (
  library: Library,
  prescribed: SetPrescription,
): { field: (typeof detailFields)[number]; text: string }[] =>
  detailFields.flatMap((field) => {
    const text = field === 'least' && !prescribed.stop ? '' : formatCell(library, field, prescribed)
    return text ? [{ field, text }] : []
  })

const setFields = setPrescriptionShape.fields as unknown as Partial<Record<CellField, Schema>>

export type TypedCell = { value: SetPrescription[CellField] | null; error?: undefined } | { error: string }

/** What was typed into a cell as its value, or a plain sentence about what it takes. Nothing typed clears RIR and rest. */
export function parseCell(
  library: Library,
  field: CellField,
  text: string,
  prescribed: SetPrescription,
  slot: Slot,
  template: Template,
): TypedCell {
  const typed = text.trim().toLowerCase()
  if (!typed && !(field === 'sets' || field === 'goal' || field === 'load')) return { value: null }
  const read: Record<CellField, () => TypedCell> = {
    sets: () => wholeCell(typed, 1, limits.sets, 'Sets', ', or a range like 3-5'),
    goal: () => parseGoal(typed),
    load: () => parseLoad(library, typed, prescribed, slot, template),
    rir: () => wholeCell(typed, 0, 10, 'RIR'),
    rest: () => restCell(typed),
    roundRest: () => roundRestCell(typed),
    tempo: () =>
      ofShape(field, typed.toUpperCase(), 'Tempo: four digits like 31X0, X for as fast as possible.'),
    perSide: () => yesCell(typed, 'Each side'),
    option: () => parseOption(text.trim()),
    style: () => ofShape(field, typed, `Style: one of ${setStyles.join(', ')}.`),
    bands: () => ofShape(field, text.trim(), 'Bands: their name and number, up to 60 characters.'),
    least: () => wholeCell(typed, 1, prescribed.sets, 'The fewest sets'),
    stop: () => ofShape(field, text.trim(), 'What ends the sets: up to 80 characters.'),
    kind: () =>
      ofShape(
        field,
        setKinds.find((one) => one.toLowerCase() === typed) ?? typed,
        `Kind: one of ${setKinds.join(', ')}.`,
      ),
    over: () => yesCell(typed, 'More than the 1RM'),
    fixed: () => parseFixed(typed),
  }
  return read[field]()
}

const fixedWords: Record<Fixable, string> = { sets: 'sets', goal: 'reps', rir: 'reserve' }

/** "sets and reps". */
function parseFixed(typed: string): TypedCell {
  const words = typed.split(/[\s,]+|\band\b/).filter(Boolean)
  const value = fixable.filter((cell) => words.includes(fixedWords[cell]))
  return value.length === words.length ? { value } : { error: 'Fixed: sets, reps, RIR, or several of them.' }
}

/** "50% in a 10 kg vest". */
function parseOption(typed: string): TypedCell {
  const [, percent, say] = /^(\d+)\s*%\s+(.+)$/.exec(typed) ?? []
  const option = { percent: Number(percent), say: say ?? '' }
  return setFields.option?.isValidSync(option, { strict: true })
    ? { value: option }
    : { error: 'Another way: a percentage of the reps and how, like 50% in a 10 kg vest.' }
}

function yesCell(typed: string, what: string): TypedCell {
  return typed === 'yes' ? { value: true } : { error: `${what}: yes, or nothing.` }
}

/** A value as the file's own reader takes it. */
function ofShape(field: CellField, value: string, error: string): TypedCell {
  return setFields[field]?.isValidSync(value, { strict: true })
    ? { value: value as SetPrescription[CellField] }
    : { error }
}

function wholeCell(typed: string, from: number, to: number, what: string, also = ''): TypedCell {
  const value = Number(typed)
  if (/^\d+$/.test(typed) && value >= from && value <= to) return { value }
  return { error: `${what}: a whole number from ${from} to ${to}${also}.` }
}

function parseGoal(typed: string): TypedCell {
  for (const key of goalKeys) {
    const goal = goalOf[key].read(typed)
    if (goal && goalShapes[key].isValidSync(goal, { strict: true })) return { value: goal }
  }
  return {
    error:
      'Reps: 5, 8-10, 5+ or AMRAP; or "30 in all", "any reps", "0:45", "2 x 40 m", "10 rounds every 1:00", "most reps in 5:00", "12 then 4x4 after 15s", "do: hip drill".',
  }
}

function parseLoad(
  library: Library,
  typed: string,
  prescribed: SetPrescription,
  slot: Slot,
  template: Template,
): TypedCell {
  const { load } = prescribed
  if (/^\d+(?:[.,]\d+)?\s*(?:kg|lb|kilos|pounds)$/.test(typed))
    return {
      error:
        'A template has no kilos or pounds: each member’s loads come from their own maxes. Type a percent, "progression" or "free".',
    }
  const basis = readBasis(library, typed, load, template)
  if (!basis)
    return {
      error:
        'Load: 75%, 80-85%, 75% TM or 90% 5RM, "progression" or "80% progression", "85% of back squat", 90% top or "top -20kg/40lb", "80% volume" for another day’s load, "effort", "free", or "none".',
    }
  if ('percent' in basis && basis.percent !== undefined && !percentField().isValidSync(basis.percent)) {
    return { error: `A percent is above 0 and at most 150, not ${basis.percent}.` }
  }
  if ('to' in basis && basis.to !== undefined && !(basis.to > basis.percent && basis.to <= 150))
    return { error: `A band goes up, to 150% at most: 80-85%, not ${formatBand(basis)}.` }
  if (isOverMax({ ...prescribed, load: basis }, template))
    return {
      error:
        'More than 100% of the 1RM only in a test, or with “more than the 1RM” in the details of the line.',
    }
  if ((basis.of === 'progression' || basis.of === 'role') && !slot.uses.length)
    return { error: 'This exercise uses no progression: type a percentage.' }
  if (basis.of === 'trainingMax' && template.trainingMax === undefined)
    return { error: 'This template states no training max.' }
  return { value: basis }
}

function readBasis(library: Library, typed: string, now: LoadBasis, template: Template): LoadBasis | null {
  for (const of of sourceKinds) {
    const params = sourceOf[of].read(typed, library)
    if (params) return { of, ...params } as LoadBasis
  }
  const band = bandBefore(typed, /^$/)
  if (band === null) return null
  if (now.of === 'max' || now.of === 'trainingMax') return { of: now.of, ...band }
  if ('percent' in now && now.percent !== undefined)
    return band.to === undefined ? { ...now, percent: band.percent } : null
  return { of: template.trainingMax === undefined ? 'max' : 'trainingMax', ...band }
}

function restCell(typed: string): TypedCell {
  const rest = parseRest(typed)
  if (rest !== null && highest(rest) <= longestRest) return { value: rest }
  return { error: 'Rest: seconds (90), minutes (3 min), 1:30 or 2-3 min, at most 30 minutes.' }
}

function roundRestCell(typed: string): TypedCell {
  const seconds = parseSeconds(typed)
  if (seconds <= longestRest) return { value: seconds }
  return { error: 'Rest: seconds (90), minutes (3 min) or 1:30, at most 30 minutes.' }
}

const longestRest = 1800
