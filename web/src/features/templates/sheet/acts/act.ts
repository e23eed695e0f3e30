import type { Built } from '@young-oak/core/editing'
import type { ExerciseId, Library } from '@young-oak/core/library'
import type { Id } from '@young-oak/core/parsing'
import type { Command, Template } from '@young-oak/core/template'
import { lineAt, slotsIn, type At, type Column, type Line, type Range } from '../sheet.ts'

/** What is seen in the sheet, and where the keyboard is. */
export type SheetView = {
  library: Library
  draft: Template
  columns: Column[]
  week: number
  weeks: number
  at: At
  /** Where a selection began, where there is one. */
  anchor: At | null
  range: Range
}

/** What is being typed into the cell under the keyboard, and what it is understood as. */
export type Typing = {
  text: string
  replaced: boolean
  understood?: string
  error?: string
  /** A name that no exercise has. */
  unknown?: string
  /** Exercises that the words may mean, and the one that is taken. */
  found?: ExerciseId[]
  pick?: number
}

/** A fill that goes over what progressions write, and what is done if it shall not. */
export type Asked = { byRule: number; command: Command; otherwise?: Command | null }

/** What a key comes to. All of it happens together; where its step has a fault nothing does, and the fault is said. */
export type Outcome = {
  /** A step of the draft. */
  put?: Built
  /** Where the keyboard goes. */
  at?: At
  anchor?: At | null
  /** What is typed from here on; null where typing ends. */
  typing?: Typing | null
  /** What the typed words would change, for the loads beside them. */
  trial?: Command | null
  ask?: Asked
  week?: number
  circuit?: Id[]
  newExercise?: string
  /** Opens the menu of the exercise under the keyboard. */
  menu?: true
  say?: string
}

/**
 * Something that can be done in the sheet. One file an act, file name = export = `name`: the keys that ask for it, the words that name it,
 * and what it comes to. The list of keys, the menu of an exercise and the palette are made of these.
 */
export type Act = {
  name: string
  keys: readonly string[]
  /** How the list of keys writes the keys of this act, or of this and the next. */
  shown?: string
  /** What the list of keys says; an act without is said by the one before it. */
  say?: string
  /** Verb and object, for the palette; moving about has none. */
  label?: string
  /** What the menu of an exercise calls it, where it has it. */
  inMenu?: string
  run(view: SheetView, key: string): Outcome
}

export const defineAct = <N extends string>(act: Act & { name: N }): Act & { name: N } => act

export const lineHere = ({ columns, at }: SheetView): Line | undefined => lineAt(columns, at)
export const columnHere = ({ columns, at }: SheetView): Column | undefined => columns[at.column]

/** The exercises that are selected, or the one under the keyboard. */
export const slotsHere = ({ columns, range }: SheetView): Id[] => slotsIn(columns, range)
