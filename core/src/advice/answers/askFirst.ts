import { declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'

const say = declareSteps({ 'askFirst.reasons': 'the profile names: {reasons}' })

/** Somebody has named what a licensed professional is to be asked about, and nobody has given their word yet. */
export const askFirst = defineAnswer({
  kind: 'askFirst',
  says: 'See a licensed professional first. No advice is given until the profile says that training is fine.',
  school: 'This is not medical advice, and no plan is made around a condition.',
  isCaution: true,
  holds({ askFirst: { reasons, isCleared } }) {
    if (!reasons.length || isCleared) return null
    return { evidence: [say('askFirst.reasons', { reasons: reasons.join(', ') })], sure: 'likely' }
  },
  messages: say.messages,
})
