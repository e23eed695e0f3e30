import type { Act } from './act.ts'
import { circuit } from './circuit.ts'
import { clear } from './clear.ts'
import { copyLeft } from './copyLeft.ts'
import { copyOfSession } from './copyOfSession.ts'
import { copyRight } from './copyRight.ts'
import { copySlot } from './copySlot.ts'
import { deselect } from './deselect.ts'
import { down } from './down.ts'
import { fill } from './fill.ts'
import { first } from './first.ts'
import { join } from './join.ts'
import { last } from './last.ts'
import { left } from './left.ts'
import { lessSets } from './lessSets.ts'
import { menu } from './menu.ts'
import { moreSets } from './moreSets.ts'
import { move } from './move.ts'
import { newSession } from './newSession.ts'
import { open } from './open.ts'
import { remove } from './remove.ts'
import { right } from './right.ts'
import { select } from './select.ts'
import { sessionEarlier } from './sessionEarlier.ts'
import { sessionLater } from './sessionLater.ts'
import { ungroup } from './ungroup.ts'
import { up } from './up.ts'
import { useProgression } from './useProgression.ts'
import { weekAfter } from './weekAfter.ts'
import { weekBefore } from './weekBefore.ts'

export { type Act, type Asked, type Outcome, type SheetView, type Typing } from './act.ts'

/** Every act, in the order in which the list of keys names them. */
export const acts = [
  move,
  first,
  last,
  select,
  open,
  fill,
  clear,
  deselect,
  menu,
  moreSets,
  lessSets,
  copySlot,
  up,
  down,
  left,
  right,
  copyLeft,
  copyRight,
  ungroup,
  remove,
  join,
  circuit,
  useProgression,
  sessionEarlier,
  sessionLater,
  copyOfSession,
  newSession,
  weekBefore,
  weekAfter,
] as const

export type ActName = (typeof acts)[number]['name']

export const actOf = Object.fromEntries(acts.map((act) => [act.name, act])) as Record<ActName, Act>

const byChord = new Map<string, Act>(acts.flatMap((act) => act.keys.map((key) => [key, act] as const)))

type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>

export const actFor = (event: Pressed): Act | undefined => byChord.get(chordOf(event))

/** "Ctrl+Shift+d". */
function chordOf({ key, ctrlKey, metaKey, altKey, shiftKey }: Pressed): string {
  const name = key.length === 1 ? key.toLowerCase() : key
  return [ctrlKey || metaKey ? 'Ctrl+' : '', altKey ? 'Alt+' : '', shiftKey ? 'Shift+' : '', name].join('')
}

/** The first key of an act, as a menu writes it: "Alt + Up". */
export const keyOf = ({ keys }: Act): string => keys[0]?.replace('Arrow', '').replace(/\+/g, ' + ') ?? ''
