export { type Dice, diceOf } from './dice.ts'
