import type { Slot } from './types.ts'

/**
 * The letters by which a session is walked down, line by line: A, B, then C1 and C2 for neighbours that alternate as a superset.
 */
export function lettersOf(lines: readonly { slot: Pick<Slot, 'superset'> }[]): string[] {
  const letters: string[] = []
  let run = -1
  for (let i = 0; i < lines.length; i++) {
    const superset = lines[i]?.slot.superset
    const isOpen = superset !== undefined && superset === lines[i - 1]?.slot.superset
    if (!isOpen) run += 1
    const letter = String.fromCharCode(65 + (run % 26))
    const isRun = isOpen || (superset !== undefined && superset === lines[i + 1]?.slot.superset)
    letters.push(isRun ? letter + placeIn(lines, i) : letter)
  }
  return letters
}

/** Which of its superset a line is, from 1. */
function placeIn(lines: readonly { slot: Pick<Slot, 'superset'> }[], at: number): number {
  let place = 1
  while (lines[at - place]?.slot.superset === lines[at]?.slot.superset) place += 1
  return place
}
