import { deloadKinds, deloadOf, placeDeload } from '../deloads/index.ts'
import type { Dice } from './dice.ts'

/** A phase of a random template. */
export function phaseOf(dice: Dice, id: string) {
  const weeks = 1 + dice.upTo(4)
  const kind = dice.among(deloadKinds.filter((one) => one !== 'taper'))
  const params = dice.among(deloadOf[kind].examples).params
  const deloads = dice.maybe(0.4) ? placeDeload(kind, params, { weeks: [weeks] }, (n) => `${id}-l${n}`) : []
  const perWeek = 1 + dice.upTo(2)
  return {
    id,
    name: id,
    weeks,
    perWeek,
    deloads,
    ...(dice.maybe(0.4) && { layout: layoutOf(dice, perWeek) }),
    ...(dice.maybe(0.3) && { defaults: { rir: { from: 1 + dice.upTo(3), to: 0 } } }),
  }
}

const layoutOf = (dice: Dice, perWeek: number): object =>
  dice.maybe()
    ? { rest: [1], running: 1 + dice.upTo(5) }
    : {
        weekdays: perWeek === 1 ? [3] : perWeek === 2 ? [6, 6] : [6, 6, 2],
        ...(perWeek > 1 && { sameDay: [{ first: 1, hours: 4 }] }),
      }
