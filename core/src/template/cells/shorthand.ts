import { keyOf, kindOf, type Goal } from '../../goals/index.ts'
import {
  exerciseNamed,
  exerciseOf,
  findExercises,
  type ExerciseId,
  type Lift,
  type Library,
} from '../../library/index.ts'
import { canCarry, ruleOf } from '../../progressions/index.ts'
import { formatCell, parseCell, type CellField } from './cells.ts'
import { limits } from '../read/shape.ts'
import { inShorthand, linesOf } from './wordings.ts'
import { rulesOf, type SetPrescription, type Slot, type Template } from '../types.ts'

/** Sets as they were understood, or a plain sentence about what was not, with the piece of the text that it speaks of. */
export type ReadSets =
  | { prescriptions: SetPrescription[]; fault?: undefined }
  | { fault: string; piece: string; prescriptions?: undefined }

/**
 * Reads sets from trade shorthand: "5 x 5 @ 75% R2 rest 3:00", several lines parted by semicolons. Sets, reps, load, and what else is
 * said of them in any order. What is not said stays as it is in `now`, line by line; a first line begins with any load.
 */
export function readSets(
  library: Library,
  typed: string,
  now: SetPrescription[],
  slot: Slot,
  template: Template,
): ReadSets {
  const pieces = linesOf(typed)
  if (!pieces.length) return { fault: 'Sets like 3 x 8, or 5 x 5 @ 75% R2 rest 3:00.', piece: typed }
  if (pieces.length > limits.prescriptions)
    return { fault: `At most ${limits.prescriptions} lines in a slot.`, piece: typed }
  const prescriptions: SetPrescription[] = []
  for (const [i, piece] of pieces.entries()) {
    const base = now[i] ?? {
      id: freeId(now, prescriptions, i),
      sets: 3,
      goal: { reps: 8 },
      load: usualLoad(library, slot),
    }
    const read = readPiece(library, piece, base, slot, template, i >= now.length)
    if (read.fault !== undefined) return read
    const { isCounted, prescribed } = read
    const isLast = i === pieces.length - 1
    prescriptions.push(isLast && !isCounted ? inAnySets(prescribed, slot, template) : prescribed)
  }
  return { prescriptions }
}

/** Sets as they would be typed; reading it gives the same sets. */
export const formatSets = (library: Library, prescriptions: readonly SetPrescription[]): string =>
  prescriptions.map((prescribed) => formatPiece(library, prescribed)).join('; ')

/** What was typed for a whole line of a session: an exercise, or the first words of it, and its sets if they are said. */
export function readLine(
  library: Library,
  typed: string,
): {
  exercise: ExerciseId | null
  others: ExerciseId[]
  /** What stands behind a comma: "back squat, paused". */
  variant?: string
  sets: string
  name: string
} {
  const cut = setsBegin(typed)
  const name = typed
    .slice(0, cut)
    .replace(/[:,]\s*$/, '')
    .trim()
  const sets = typed.slice(cut).trim()
  const [called = '', ...behind] = name.split(',')
  const variant = behind.join(',').trim().slice(0, 60)
  const found = called.trim() ? fitting(library, findExercises(library, called), sets) : []
  const exact = exerciseNamed(library, called)
  // "do: a walk" is a task, and no exercise is needed for it.
  const isTask = !name && /^(?:\d+\s*[x×*]\s*)?do:/i.test(sets)
  return {
    exercise: exact ?? found[0] ?? (isTask ? 'task' : null),
    others: found.slice(exact ? 0 : 1, 6),
    ...(variant && { variant }),
    sets,
    name,
  }
}

/** Of what a name may mean, a distance is first of what goes over one: "row 500 m" is no barbell row. */
function fitting(library: Library, found: readonly ExerciseId[], sets: string): readonly ExerciseId[] {
  if (!/^(?:\d+\s*[x×*]\s*)?\d+(?:[.,]\d+)?\s*(?:m|km|mi|yd)\b/i.test(sets)) return found
  const goes = (exercise: ExerciseId) =>
    ['conditioning', 'carry'].includes(exerciseOf(library, { exercise }).pattern)
  return [...found.filter(goes), ...found.filter((one) => !goes(one))]
}

/** Where the sets begin: at the first number, or at a word that begins a goal. */
function setsBegin(typed: string): number {
  const at =
    /(?:^|\s)(?=\d|do:|most |any (?:reps|time|m|km|yd|mi|rounds)\b|@|top sets?\b|back-?offs?\b)/i.exec(typed)
      ?.index ?? typed.length
  if (!typed.slice(0, at).includes(',')) return at
  // A variant may hold a number: "deadlift, blocks 8 cm 3 x 5".
  return /\s(?=\d+\s*[x×*]\s*\S)/i.exec(typed)?.index ?? at
}

/** What is said of sets beside how many, of what and at which load: how it is written, and how it is found in a text. */
const details: { field: CellField; found: RegExp; write(text: string): string }[] = [
  {
    field: 'rir',
    found:
      /(?:^|[\s,])(?:r\s?(\d+)(?![\d%])|rir\s?(\d+)|(\d+)\s+(?:left|in reserve|rir)|rpe\s?(\d+(?:[.,]\d+)?))(?=$|[\s,])/i,
    write: (text) => `R${text}`,
  },
  {
    field: 'rest',
    found:
      /(?:^|[\s,])rest\s+(\d+(?::\d\d)?(?:\s?(?:min|minutes?|s|sec|seconds?)\b)?(?:\s*[-–]\s*\d+(?::\d\d)?(?:\s?(?:min|minutes?|s|sec|seconds?)\b)?)?)/i,
    write: (text) => `rest ${text}`,
  },
  {
    field: 'roundRest',
    found: /(?:^|[\s,])round\s+(\d+(?::\d\d)?(?:\s?(?:min|minutes?|s|sec|seconds?)\b)?)/i,
    write: (text) => `round ${text}`,
  },
  { field: 'tempo', found: /(?:^|[\s,])tempo\s+([0-9x]{4})(?=$|[\s,])/i, write: (text) => `tempo ${text}` },
  { field: 'perSide', found: /(?:^|[\s,])((?:each|per|a) side)(?=$|[\s,])/i, write: () => 'each side' },
  {
    field: 'kind',
    found: /(?:^|[\s,])(top set|back-?offs?(?: sets?)?|as a test)(?=$|[\s,])/i,
    write: (text) => ({ top: 'top set', backOff: 'back-offs', test: 'as a test' })[text] ?? text,
  },
  { field: 'over', found: /(?:^|[\s,])(past the max)(?=$|[\s,])/i, write: () => 'past the max' },
  {
    field: 'fixed',
    found: /(?:^|[\s,])fixed\s+((?:sets|reps|reserve)(?:\s+and\s+(?:sets|reps|reserve))*)(?=$|[\s,])/i,
    write: (text) => `fixed ${text}`,
  },
  { field: 'style', found: /(?:^|[\s,])style\s+([a-z]+)/i, write: (text) => `style ${text}` },
  { field: 'least', found: /(?:^|[\s,])at least\s+(\d+)(?=$|[\s,])/i, write: (text) => `at least ${text}` },
  { field: 'stop', found: /(?:^|[\s,])until\s+([^,]+?)(?=$|,)/i, write: (text) => `until ${text},` },
  { field: 'bands', found: /(?:^|[\s,])bands\s+([^,]+?)(?=$|,)/i, write: (text) => `bands ${text},` },
  { field: 'option', found: /(?:^|[\s,])or\s+(\d+\s*%\s+[^,]+?)(?=$|,)/i, write: (text) => `or ${text},` },
]

type ReadPiece =
  | { prescribed: SetPrescription; isCounted: boolean; fault?: undefined }
  | { fault: string; piece: string; prescribed?: undefined }

function readPiece(
  library: Library,
  typed: string,
  base: SetPrescription,
  slot: Slot,
  template: Template,
  isNew: boolean,
): ReadPiece {
  const put = inShorthand(typed)
  if ('fault' in put) return { fault: put.fault, piece: typed }
  const piece = put.text
  let rest = piece
  let prescribed = base
  const set = (field: CellField, text: string): string | undefined => {
    const parsed = parseCell(library, field, text, prescribed, slot, template)
    if (parsed.error !== undefined) return parsed.error
    prescribed = { ...prescribed, [field]: parsed.value }
    return undefined
  }
  const task = /\bdo:.*$/i.exec(rest)
  if (task) rest = rest.slice(0, task.index)
  const said: [CellField, string][] = []
  // Texts that run on to a comma are taken first, so that no word of theirs is read as something else.
  for (const { field, found } of [...details].reverse()) {
    const match = found.exec(rest)
    if (!match) continue
    const text = wordFor(field, match)
    if (text === null) return { fault: 'RPE in whole numbers: 8 is 2 RIR.', piece: match[0].trim() }
    said.push([field, text])
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`
  }
  const plain = (rest.replace(/[\s,]+$/, '').trim() + (task ? ` ${task[0]}` : '')).trim()
  const {
    sets: count,
    goal,
    load,
  } = divide(
    plain,
    (text) => parseCell(library, 'goal', text, prescribed, slot, template).error === undefined,
  )
  const [, least, most] = /^(\d+)\s*[-–]\s*(\d+)$/.exec(count ?? '') ?? []
  const sets = most ?? count
  // Sets said otherwise are no range any more, unless they are said as one.
  if (sets !== undefined && prescribed.stop === undefined && prescribed.least !== undefined)
    prescribed = withoutLeast(prescribed)
  if (least !== undefined) said.push(['least', least])
  const isTop =
    isNew && sets === undefined && said.some(([field, text]) => field === 'kind' && text === 'top')
  // What a load may be is told by its part: a test may be above the 1RM.
  const isPart = ([field]: [CellField, string]) => field === 'kind' || field === 'over'
  for (const [field, text] of said.filter(isPart)) {
    const fault = set(field, text)
    if (fault !== undefined) return { fault, piece: text }
  }
  for (const [field, text] of [
    ['sets', isTop ? '1' : sets],
    ['goal', goal],
    ['load', load],
  ] as const) {
    if (text === undefined) continue
    const fault = set(field, text)
    if (fault !== undefined)
      return { fault: misspelt(library, text, prescribed, slot, template) ?? fault, piece: text || piece }
  }
  if (isNew && goal === undefined && sets === undefined) return { fault: 'Say sets and reps: 3 x 8.', piece }
  // The fewest sets are looked at beside the sets, so they come after them.
  for (const [field, text] of said.filter((one) => !isPart(one))) {
    const fault = set(field, text)
    if (fault !== undefined) return { fault, piece: text }
  }
  if (isNew && sets === undefined && isOneOf(library, prescribed.goal, slot))
    prescribed = { ...prescribed, sets: 1 }
  if (prescribed.stop !== undefined && prescribed.least === undefined)
    return { fault: 'Say the fewest sets beside what ends them: at least 3, until the bar slows.', piece }
  return { prescribed, isCounted: !isNew || sets !== undefined }
}

/** "50 in all": a total where nothing is said of sets is over as many as it takes, but for a progression that counts them. */
function inAnySets(prescribed: SetPrescription, { uses }: Slot, { progressions }: Template): SetPrescription {
  if (!kindOf(prescribed.goal).inAll) return prescribed
  const goal = { ...prescribed.goal, anySets: true } as Goal
  const isCounted = uses
    .flatMap(({ progression }) => rulesOf(progressions[progression]))
    .some(({ rule }) => {
      const { carriedBy } = ruleOf[rule]
      return carriedBy && canCarry(carriedBy, prescribed) && !canCarry(carriedBy, { ...prescribed, goal })
    })
  return isCounted ? prescribed : { ...prescribed, goal }
}

function withoutLeast({ least: _, ...rest }: SetPrescription): SetPrescription {
  return rest
}

/** Whether a goal is one thing to be done, where nothing is said of sets: a time to beat, a run, a task. */
function isOneOf(library: Library, goal: SetPrescription['goal'], { exercise }: Lift): boolean {
  const key = keyOf(goal)
  if (key === 'seconds' || key === 'distance')
    return exerciseOf(library, { exercise }).pattern === 'conditioning'
  return key === 'open' || key === 'most' || key === 'rounds' || key === 'task'
}

/** The text of a cell that a match says; null where an RPE is between two reserves. */
function wordFor(field: CellField, match: RegExpExecArray): string | null {
  const text = match.slice(1).find((one) => one !== undefined) ?? ''
  if (field === 'rir' && match[4] !== undefined) {
    const left = 10 - Number(match[4].replace(',', '.'))
    return Number.isInteger(left) ? String(left) : null
  }
  if (field === 'perSide' || field === 'over') return 'yes'
  if (field === 'kind') return /^top/i.test(text) ? 'top' : /test$/i.test(text) ? 'test' : 'backOff'
  return text
}

type Divided = { sets?: string; goal?: string; load?: string }

/** "5 x 5 @ 75%" in its three texts; without "@" the load begins where what stands before it is a goal. */
function divide(text: string, isGoal: (text: string) => boolean): Divided {
  if (!text) return {}
  const [before = '', ...after] = /\bdo:/i.test(text) ? [text] : text.split(/\s*@\s*/)
  const load = after.length ? after.join('@') : undefined
  if (!before.trim()) return { load }
  const [, sets, goal] =
    /^(\d+(?:\s*[-–]\s*\d+)?)\s*(?:[x×*]|sets?\b(?:\s+of\b)?)\s*(.+)$/i.exec(before.trim()) ?? []
  const whole = { ...(sets && { sets }), goal: goal ?? before.trim() }
  if (load !== undefined) return { ...whole, load }
  // "2 x 40 m" and "0:45" are goals by themselves, of one set or as many as there are.
  if (sets && !isGoal(whole.goal) && isGoal(before.trim())) return { goal: before.trim() }
  if (isGoal(whole.goal)) return whole
  const words = whole.goal.split(/\s+/)
  for (let count = words.length - 1; count > 0; count--) {
    const head = words.slice(0, count).join(' ')
    if (isGoal(head)) return { ...whole, goal: head, load: words.slice(count).join(' ') }
  }
  return whole
}

/** What is wrong with a word that says which cell it is for, where it was not taken as one. */
function misspelt(
  library: Library,
  text: string,
  prescribed: SetPrescription,
  slot: Slot,
  template: Template,
): string | undefined {
  const [, word = '', value = ''] = /^(tempo|rest|round|style)\b\s*(.*)$/i.exec(text) ?? []
  const field = ({ tempo: 'tempo', rest: 'rest', round: 'roundRest', style: 'style' } as const)[
    word.toLowerCase()
  ]
  return field && parseCell(library, field, value || '?', prescribed, slot, template).error
}

function formatPiece(library: Library, prescribed: SetPrescription): string {
  const goal = formatCell(library, 'goal', prescribed)
  const { least, stop } = prescribed
  const isRange = least !== undefined && stop === undefined
  const count = formatCell(library, 'sets', prescribed)
  const head = `${count} × ${goal} @ ${formatCell(library, 'load', prescribed)}`
  const texts = details.flatMap(({ field, write }) => {
    if (field === 'least' && isRange) return []
    const text = formatCell(library, field, prescribed)
    return text ? [write(text)] : []
  })
  const isTask = /^do:/i.test(goal)
  const [before, after] = isTask ? [[`${count} ×`], [goal]] : [[head], []]
  return [...before, ...texts, ...after].join(' ').replace(/,$/, '')
}

/** What is not lifted has no load; the member chooses any other. */
export function usualLoad(library: Library, { exercise }: Lift): SetPrescription['load'] {
  const { pattern } = exerciseOf(library, { exercise })
  return { of: pattern === 'trunk' || pattern === 'conditioning' || pattern === 'jump' ? 'none' : 'free' }
}

function freeId(now: SetPrescription[], made: SetPrescription[], at: number): string {
  const taken = new Set([...now, ...made].map(({ id }) => id))
  for (let n = at + 1; ; n++) if (!taken.has(String(n))) return String(n)
}
