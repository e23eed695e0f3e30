import { onDemand } from '../../ui/onDemand.tsx'

// What a phone shows now and then in a session: loaded behind everything else.

const proposals = () => import('../maxes/Proposals.tsx').then(({ Proposals: of }) => ({ default: of }))
const way = () => import('./FindLoadWay.tsx')
const noProgram = () => import('./NoProgram.tsx')
const unconfirmed = () => import('./Unconfirmed.tsx')
const choice = () =>
  import('../progress/ExerciseChoice.tsx').then(({ ExerciseChoice: of }) => ({ default: of }))

/** Which of the exercises that a slot offers is trained. */
export const ExerciseChoice = onDemand(choice)

/** Maxes that the session just done suggests. */
export const Proposals = onDemand(proposals)

/** The guided way up to a load that nobody knows. */
export const FindLoadWay = onDemand(way)

/** That there is no program, and what to do meanwhile. */
export const NoProgram = onDemand(noProgram)

/** Sessions that ask for their day. */
export const Unconfirmed = onDemand(unconfirmed)

export const loadTraining = (): Promise<unknown> =>
  Promise.all([proposals(), way(), noProgram(), unconfirmed(), choice()])
