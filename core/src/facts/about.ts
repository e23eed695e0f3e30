import { boolean } from 'yup'
import { defineFact, factShape } from './fact.ts'

/** What else a member may tell, or withhold: it makes deloads come a little sooner. */
export type About = { overForty?: boolean; deficit?: boolean; stress?: boolean }

const yesOrNo = () => boolean().strict().meta({ expected: 'true or false' })

export const about = defineFact<About, { about: About }>({
  kind: 'about',
  isGiven: true,
  shape: factShape({ overForty: yesOrNo(), deficit: yesOrNo(), stress: yesOrNo() }),
  none: { about: {} },
  learn: (_, { overForty, deficit, stress }) => ({ about: { overForty, deficit, stress } }),
  examples: [{ say: 'a stressful life', fact: { stress: true }, want: { about: { stress: true } } }],
})
