import type { Id } from '../parsing/index.ts'
import {
  exerciseOf,
  liftKey,
  liftName,
  liftOf,
  type ExerciseId,
  type Lift,
  type Library,
} from '../library/index.ts'
import {
  formatSets,
  readLine,
  readSets,
  rulesOf,
  sayRow,
  slotName,
  usualLoad,
  type Command,
  type SetPrescription,
  type Slot,
  type Spot,
  type Template,
} from '../template/index.ts'
import { step, type Built, type Mint } from './built.ts'
import { newSlot } from './slots.ts'

/** What a typed line comes to: a command, with how it was understood; or why not. `command` is null where nothing changes. */
export type Typed = { command: Command | null; understood: string; fault?: undefined } | { fault: string }

/** A whole line typed where there is none: an exercise, and its sets for every week; three sets of its usual reps where none are said. */
export function typeNewSlot(
  library: Library,
  draft: Template,
  at: Spot,
  typed: string,
  mint: Mint,
  pick?: ExerciseId,
): Typed {
  const line = readLine(library, typed)
  const exercise = pick ?? line.exercise
  if (!exercise) return { fault: unknownExercise(line.name) }
  const bare: Slot = {
    ...newSlot(draft, at.session, exercise, []),
    ...(line.variant && { variant: line.variant }),
    uses: usesFor(draft, exercise, line.sets),
  }
  const sets = line.sets
    ? readSets(library, line.sets, [], bare, draft)
    : { prescriptions: usualSets(library, exercise) }
  if (sets.prescriptions === undefined) return { fault: sets.fault ?? '' }
  const rows = Object.fromEntries(
    Object.entries(bare.rows).map(([phase, list]) => [phase, list.map(() => sets.prescriptions)]),
  )
  const command: Command = { do: 'addSlot', slot: mint(), ...at, value: { ...bare, rows } }
  return { command, understood: `${liftName(library, bare)}: ${formatSets(library, sets.prescriptions)}` }
}

/** A line typed over a slot: another exercise, other sets in this row, or both; with `fill` also in the later rows of the phase. */
export function typeOverSlot(
  library: Library,
  draft: Template,
  { slot: id, phase, row }: { slot: Id; phase: Id; row: number },
  typed: string,
  fill: boolean,
  pick?: ExerciseId,
): Typed {
  const slot = draft.slots[id]
  if (!slot) return { fault: 'This exercise is no longer there.' }
  const line = readLine(library, typed)
  const exercise = pick ?? (line.name ? line.exercise : slot.exercise)
  if (!exercise) return { fault: unknownExercise(line.name) }
  const commands: Command[] = []
  const lift: Lift = line.name ? liftOf({ exercise, variant: line.variant }) : liftOf(slot)
  const isOther = liftKey(lift) !== liftKey(slot)
  if (isOther) commands.push({ do: 'setExercise', slot: id, from: liftOf(slot), to: lift })
  const now = slot.rows[phase]?.[row] ?? []
  const sets = line.sets
    ? readSets(library, line.sets, now, { ...slot, exercise }, draft)
    : { prescriptions: now }
  if (sets.prescriptions === undefined) return { fault: sets.fault ?? '' }
  commands.push(...rowCommands(slot, id, phase, row, fill, () => sets.prescriptions))
  const understood = `${liftName(library, lift)}: ${formatSets(library, sets.prescriptions)}`
  if (!commands.length) return { command: null, understood }
  const name = `${slotName(library, draft, id)}: ${isOther ? `${liftName(library, lift)} ` : ''}${sayRow(library, sets.prescriptions)}`
  return {
    command: commands.length === 1 ? (commands[0] as Command) : { do: 'several', name, commands },
    understood,
  }
}

/** The commands that change a slot's row and, with `fill`, the later rows of the phase. */
export function rowCommands(
  slot: Slot,
  id: Id,
  phase: Id,
  row: number,
  fill: boolean,
  change: (prescriptions: SetPrescription[]) => SetPrescription[],
): Command[] {
  const list = slot.rows[phase] ?? []
  const commands: Command[] = []
  for (let at = row; at < (fill ? list.length : row + 1); at++) {
    const from = list[at]
    const to = from && change(from)
    if (!from || !to || JSON.stringify(from) === JSON.stringify(to)) continue
    commands.push({ do: 'setRow', slot: id, phase, row: at, from, to })
  }
  return commands
}

/** One more line of sets below another, in every row of the phase: as the other one, but no test. */
export function addSets(library: Library, draft: Template, slot: Id, phase: Id, below: Id): Built {
  const own = draft.slots[slot]
  if (!own) return { fault: 'This exercise is no longer there.' }
  const taken = new Set(
    Object.values(own.rows)
      .flat(2)
      .map(({ id }) => id),
  )
  let n = 2
  while (taken.has(String(n))) n += 1
  return step(
    `${slotName(library, draft, slot)}: one more line of sets`,
    rowCommands(own, slot, phase, 0, true, (prescriptions) => {
      const place = Math.max(
        prescriptions.findIndex(({ id }) => id === below),
        0,
      )
      const { kind: _, ...like } = prescriptions[place] as SetPrescription
      return [
        ...prescriptions.slice(0, place + 1),
        { ...like, id: String(n) },
        ...prescriptions.slice(place + 1),
      ]
    }),
  )
}

/** A line of sets out of every row of the phase. */
export function removeSets(library: Library, draft: Template, slot: Id, phase: Id, prescribed: Id): Built {
  const own = draft.slots[slot]
  if (!own) return { fault: 'This exercise is no longer there.' }
  if (own.rows[phase]?.some((prescriptions) => prescriptions.every(({ id }) => id === prescribed)))
    return { fault: 'This is the only line of sets in some week: remove the exercise, or change the line.' }
  return step(
    `${slotName(library, draft, slot)}: a line of sets removed`,
    rowCommands(own, slot, phase, 0, true, (prescriptions) =>
      prescriptions.filter(({ id }) => id !== prescribed),
    ),
  )
}

/** The progression that a lift has already, where sets speak of a rule. */
function usesFor(draft: Template, exercise: ExerciseId, sets: string): Slot['uses'] {
  if (!/\b(rule|progression)\b/i.test(sets)) return []
  const known = knownProgression(draft, exercise)
  return known ? [known] : []
}

/** The progression that other slots of the lift follow, and that gives loads. */
export function knownProgression(draft: Template, exercise: ExerciseId): Slot['uses'][number] | undefined {
  return Object.values(draft.slots)
    .filter((slot) => slot.exercise === exercise && !slot.variant)
    .flatMap(({ uses }) => uses)
    .find(({ progression }) => rulesOf(draft.progressions[progression]).length > 0)
}

/** Three sets of the reps, or of the seconds, that an exercise suits. */
function usualSets(library: Library, exercise: ExerciseId): SetPrescription[] {
  const { reps, pattern, name, isHeld } = exerciseOf(library, { exercise })
  const span = { from: reps[0], to: reps[1] }
  const load = usualLoad(library, { exercise })
  if (pattern === 'conditioning')
    return [{ id: '1', sets: 1, goal: { task: name.toLowerCase(), minutes: 10 }, load }]
  if (pattern === 'carry') return [{ id: '1', sets: 3, goal: { distance: 20, unit: 'm' }, load }]
  return [{ id: '1', sets: 3, goal: isHeld ? { seconds: span } : { reps: span }, load }]
}

const unknownExercise = (name: string): string =>
  name
    ? `No exercise is called “${name}”. A word of its name, a muscle or a pattern finds one.`
    : 'Start the line with an exercise: back squat 3 x 5.'
