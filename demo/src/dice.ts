import { diceOf } from '@young-oak/core/testing'

/** A row of numbers from 0 up to 1 that is the same for the same seed. */
export type Dice = () => number

export const dice = (seed: number): Dice => diceOf(seed).next
