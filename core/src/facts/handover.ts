import { idField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** What names a stage of a progression that a lift was handed to. */
export const handoverKey = (progression: Id, stage: Id): string => `${progression}/${stage}`

/** Somebody took the offer that a lift goes on to the next stage of its progression. */
export const handover = defineFact<{ progression: Id; stage: Id }, { handovers: string[] }>({
  kind: 'handover',
  isGiven: true,
  shape: factShape({
    progression: idField('a progression').required(),
    stage: idField('the stage that the lift goes on to').required(),
  }),
  none: { handovers: [] },
  learn: ({ handovers }, { progression, stage }) => ({
    handovers: [...handovers, handoverKey(progression, stage)],
  }),
  examples: [
    {
      say: 'the squat goes on',
      fact: { progression: 'squat', stage: 'two' },
      want: { handovers: ['squat/two'] },
    },
  ],
})
