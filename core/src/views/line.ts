import type { Need } from '../loads/index.ts'
import type { ShownSets } from '../member/index.ts'
import { kindOf, type AnySets, type Goal } from '../goals/index.ts'
import { liftName, type Lift, type Library } from '../library/index.ts'
import type { Circuit, SetStyle } from '../template/index.ts'
import { formatLoad, formatNumber, formatSeconds, formatSpan, type Span } from '../units/index.ts'
import type { WarmUpSet } from '../warmups/index.ts'

/** A slot's prescriptions in trade shorthand: "3 × 5 @ 62.5 kg, 1 × 5+ @ 70 kg"; a missing load is "?". */
export const formatSetsShown = (library: Library, prescriptions: ShownSets[]): string =>
  prescriptions.map((prescribed) => formatPrescribed(library, prescribed)).join(', ')

/** "2 × 5, 5+ @ 70 kg": the last set of `amrap` "last" has the plus, "3 × 5+ every set @ 70 kg" all of them; then tempo, bands and what else was said. */
export function formatPrescribed(library: Library, prescribed: ShownSets): string {
  const { load, missing } = prescribed
  const at = load ? ` @ ${formatAsked(prescribed, load)}` : missing ? ' @ ?' : ''
  const said = [
    prescribed.perSide && 'each side',
    prescribed.option && `or ${prescribed.option.percent}% of the reps ${prescribed.option.say}`,
    prescribed.bands && `with ${prescribed.bands}`,
    prescribed.tempo && `tempo ${prescribed.tempo}`,
    prescribed.style && styleWords[prescribed.style],
    prescribed.stop && `stop when ${prescribed.stop}`,
  ].filter(Boolean)
  return [
    `${prescribed.lift ? formatLine(library, prescribed, prescribed.lift) : formatSets(prescribed)}${at}`,
    ...said,
  ].join(', ')
}

/** "10 dumbbell row": a line of a circuit. */
const formatLine = (library: Library, { reps, goal }: ShownSets, lift: Lift): string =>
  `${goal ? kindOf(goal).cell(goal) : formatSpan(reps ?? 1)} ${liftName(library, lift).toLowerCase()}`

/** "5 rounds for time, at most 20:00", "as many rounds as fit into 12:00". */
export function formatCircuit({ by, rounds = 1, capSeconds }: Circuit): string {
  if (by === 'rounds') return `as many rounds as fit into ${formatSeconds(capSeconds ?? 0)}`
  const cap = capSeconds === undefined ? '' : `, at most ${formatSeconds(capSeconds)}`
  return `${rounds} ${rounds === 1 ? 'round' : 'rounds'} for time${cap}`
}

const styleWords: Record<SetStyle, string> = {
  ramp: 'rising',
  drop: 'drop sets',
  speed: 'with full speed',
  lowering: 'lowering only',
  held: 'held',
  partial: 'partial',
}

function formatSets({ sets, reps, amrap: plus, goal, least }: ShownSets): string {
  const asked = goal ? kindOf(goal).cell(goal) : formatSpan(reps ?? 1)
  if (goal && kindOf(goal).inAll) return sayInAll(goal, sets)
  if (goal && sets === 1) return asked
  const count = least && least < sets ? `${least}-${sets}` : `${sets}`
  if (!plus) return `${count} × ${asked}`
  if (plus === 'all') return `${count} × ${sayEvery(reps ?? 1, sets)}`
  return sets === 1 ? `1 × ${asked}+` : `${sets - 1} × ${asked}, ${asked}+`
}

/** "30 total reps within 4 sets", "3:00 in all, in as many sets as it takes". */
function sayInAll(goal: Goal, sets: number): string {
  const { anySets, ...plain } = goal as Goal & AnySets
  const what = 'totalReps' in goal ? `${goal.totalReps} total reps` : kindOf(plain).cell(plain)
  if (anySets) return `${what}, in as many sets as it takes`
  return `${what} within ${sets} ${sets === 1 ? 'set' : 'sets'}`
}

/** "5+ every set", or of a single set "5+"; "AMRAP" where one rep is enough. */
function sayEvery(reps: Span, sets: number): string {
  const goal: Goal = { reps, amrap: sets === 1 && reps !== 1 ? 'last' : 'all' }
  return kindOf(goal).cell(goal)
}

/** A load as it is handled: "62.5 kg"; on top of body weight "+10 kg", "body weight", or "15 kg of assistance". */
export function formatHandled(
  { body, help }: Pick<ShownSets, 'body' | 'help'>,
  load: NonNullable<ShownSets['load']>,
): string {
  if (!body) return formatLoad(load)
  if (!load.value) return 'body weight'
  return help ? `${formatLoad(load)} of assistance` : `+${formatLoad(load)}`
}

/** The load that is asked, as it is handled; of a band both ends: "80-85 kg". */
export function formatAsked(
  prescribed: Pick<ShownSets, 'body' | 'help' | 'upTo'>,
  load: NonNullable<ShownSets['load']>,
): string {
  const { upTo, body } = prescribed
  if (!upTo) return formatHandled(prescribed, load)
  return `${body ? '+' : ''}${formatNumber(load.value)}-${formatLoad(upTo)}`
}

/** What a slot lacks before its load can be given. */
export const needWords: Record<Need['need'], string> = {
  max: 'needs a max',
  bodyWeight: 'needs a body weight',
  role: 'needs another day first',
  topSet: 'has no top set to follow',
}

/** The same, where a cell has room for two words. */
export const needCells: Record<Need['need'], string> = {
  max: 'no max',
  bodyWeight: 'no body weight',
  role: 'no load yet',
  topSet: 'no top set',
}

/** "20 × 8, 40 × 5 kg": the ramp before the work. */
export function formatWarmUps(sets: WarmUpSet[]): string {
  const unit = sets[0]?.load.unit ?? 'kg'
  return `${sets.map(({ load, reps }) => `${formatNumber(load.value)} × ${reps}`).join(', ')} ${unit}`
}
