import { boolean } from 'yup'
import { trainingAges, type TrainingAge } from '../adjustments/index.ts'
import { choiceField } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** What else a member may tell, or withhold: deloads are advised by it, first of all by the training age. */
export type About = { training?: TrainingAge; overForty?: boolean; deficit?: boolean; stress?: boolean }

const yesOrNo = () => boolean().strict().meta({ expected: 'true or false' })

export const about = defineFact<About, { about: About }>({
  kind: 'about',
  isGiven: true,
  shape: factShape({
    training: choiceField(trainingAges),
    overForty: yesOrNo(),
    deficit: yesOrNo(),
    stress: yesOrNo(),
  }),
  none: { about: {} },
  learn: (_, { training, overForty, deficit, stress }) => ({
    about: { training, overForty, deficit, stress },
  }),
  examples: [
    { say: 'a stressful life', fact: { stress: true }, want: { about: { stress: true } } },
    {
      say: 'years of training',
      fact: { training: 'overThreeYears' },
      want: { about: { training: 'overThreeYears' } },
    },
  ],
})
