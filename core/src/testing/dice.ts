/** Dice from a seed: mulberry32, a generator in the public domain. */
export function diceOf(seed: number) {
  let state = seed >>> 0
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const upTo = (most: number): number => Math.floor(next() * (most + 1))
  const among = <T>(list: readonly T[]): T => list[upTo(list.length - 1)] as T
  const maybe = (chance = 0.5): boolean => next() < chance
  return { next, upTo, among, maybe }
}
export type Dice = ReturnType<typeof diceOf>
