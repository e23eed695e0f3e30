import { onDemand } from '../../ui/onDemand.tsx'

// What a phone shows now and then in a session: loaded behind everything else.

const proposals = () => import('../maxes/Proposals.tsx').then(({ Proposals: of }) => ({ default: of }))
const way = () => import('./FindLoadWay.tsx')
const noProgram = () => import('./NoProgram.tsx')
const unconfirmed = () => import('./Unconfirmed.tsx')
const sore = () => import('./SessionQuestions.tsx').then(({ StillSore: of }) => ({ default: of }))
const after = () => import('./SessionQuestions.tsx').then(({ AfterSession: of }) => ({ default: of }))
const planned = () => import('./Planned.tsx')
const choice = () =>
  import('../progress/ExerciseChoice.tsx').then(({ ExerciseChoice: of }) => ({ default: of }))

/** What is asked before the first set, and after a session. */
export const StillSore = onDemand(sore)
export const AfterSession = onDemand(after)

/** Which of the exercises that a slot offers is trained. */
export const ExerciseChoice = onDemand(choice)

/** Maxes that the session just done suggests. */
export const Proposals = onDemand(proposals)

/** The guided way up to a load that nobody knows. */
export const FindLoadWay = onDemand(way)

/** That there is no program, and what to do meanwhile. */
export const NoProgram = onDemand(noProgram)

/** The day that a session is planned for. */
export const Planned = onDemand(planned)

/** Sessions that ask for their day. */
export const Unconfirmed = onDemand(unconfirmed)

export const loadTraining = (): Promise<unknown> =>
  Promise.all([proposals(), way(), noProgram(), unconfirmed(), sore(), planned(), choice()])
