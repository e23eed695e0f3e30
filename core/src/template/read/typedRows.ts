import { isExercise, type Lift } from '../../library/index.ts'
import { at, type Checker } from '../../parsing/index.ts'
import { readSets } from '../cells/shorthand.ts'
import { readRamp } from '../rirRamp.ts'
import type { RirRamp, SetPrescription, Slot, Template, Use } from '../types.ts'

type Head = { slots: unknown; trainingMax?: number | undefined }
type Rows = Record<string, unknown>

/**
 * A file's slots with the rows that are typed, as in the sheet, in the place of prescriptions: a whole row as one text, or one line of it. What is not
 * understood is located, and the sentence says what can be typed. A row that is not typed stays as it is, to be read with all others.
 */
export function readTypedRows(checker: Checker, { slots, trainingMax }: Head): unknown {
  if (!isRecord(slots)) return slots
  const template = { trainingMax, progressions: {} } as Template
  return mapped(slots, (slot, id) => {
    if (!isRecord(slot)) return slot
    const given = { asked: askedWith(slot), template }
    const path = at('slots', id)
    const { rows, inStages } = slot
    const made = { ...slot }
    if (isRecord(rows))
      made.rows = mapped(rows, (list, phase) => readList(checker, list, at(at(path, 'rows'), phase), given))
    if (Array.isArray(inStages))
      made.inStages = inStages.map((one: unknown, i) => {
        const place = at(at(at(path, 'inStages'), i), 'rows')
        return isRecord(one) ? { ...one, rows: readList(checker, one.rows, place, given) } : one
      })
    return made
  })
}

function readList(checker: Checker, list: unknown, path: string, given: With): unknown {
  if (!Array.isArray(list)) return list
  return list.map((row: unknown, i) => {
    const place = at(path, i)
    if (typeof row === 'string') return readLines(checker, row, place, given)
    if (!Array.isArray(row)) return row
    return row.map((line: unknown, j) =>
      typeof line === 'string' ? readOne(checker, line, at(place, j), given) : line,
    )
  })
}

type With = { asked: Slot; template: Template }

function readOne(checker: Checker, typed: string, path: string, given: With): unknown {
  const lines = readLines(checker, typed, path, given)
  if (lines.length > 1)
    checker.add(
      path,
      'one line of sets',
      typed,
      'Write several lines as one text, and leave out the brackets around it.',
    )
  return lines[0]
}

/** Lines without ids of their own: each has its number in the row, like any that names none. */
function readLines(checker: Checker, typed: string, path: string, { asked, template }: With): object[] {
  // An exercise that there is not is a fault of its own, and the only one of its slot.
  if (!isExercise(checker.library, asked.exercise)) return [nothing]
  const { text, ramp } = withoutRamp(typed)
  const read = readSets(checker.library, text, [], asked, template)
  if (read.prescriptions)
    return read.prescriptions.map((one) => ({ ...withoutId(one), ...(ramp && { rir: ramp }) }))
  checker.add(
    path,
    'sets as they are typed in the sheet, like "3 x 8 @ 70% R2 rest 2 min"',
    typed,
    read.fault,
  )
  return [nothing]
}

/** "R3-0" of a single line of sets: RIR that falls over the weeks, which a line of the sheet cannot say since it is of one week. */
function withoutRamp(typed: string): { text: string; ramp?: RirRamp } {
  const [whole, said = ''] =
    /\s(?:r|rir)\s?(\d+\s*[-–]\s*\d+(?:\s*over\s*\d+\s*weeks?)?)(?=$|[\s,])/i.exec(typed) ?? []
  const ramp = whole === undefined || typed.includes(';') ? null : readRamp(said)
  return ramp && whole !== undefined ? { text: typed.replace(whole, ''), ramp } : { text: typed }
}

/** What is read on with where a text has a fault. */
const nothing = { sets: 1, goal: { reps: 1 }, load: { of: 'none' } } as const

function withoutId({ id: _, ...rest }: SetPrescription): object {
  return rest
}

/** What lines of a slot may read of it. */
function askedWith(slot: Rows): Slot {
  const { exercise, variant, uses } = slot as Partial<Lift> & { uses?: unknown }
  const lift = { exercise: String(exercise), ...(typeof variant === 'string' && { variant }) }
  return { ...lift, uses: (Array.isArray(uses) ? uses : []) as Use[], by: 'week', rows: {} } as Slot
}

const isRecord = (value: unknown): value is Rows =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const mapped = (of: Rows, change: (value: unknown, key: string) => unknown): Rows =>
  Object.fromEntries(Object.entries(of).map(([key, value]) => [key, change(value, key)]))
