import { declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { falls, isDue, tiredness } from '../evidence.ts'

const say = declareSteps({ 'askAgain.little': 'too few sessions are logged to judge by' })

export const askAgain = defineAnswer({
  kind: 'askAgain',
  says: 'Train as written, and ask again next week.',
  school: 'One indication is not a pattern. A cautious coach would make the next session easier.',
  holds(signals, _policy, library) {
    const evidence = [...falls(library, signals), ...tiredness(library, signals), ...isDue(signals)]
    if (evidence.length) return { evidence, sure: 'weak' }
    const hasNothing = !signals.lifts.some(({ exposures }) => exposures > 1)
    return hasNothing ? { evidence: [say('askAgain.little', {})], sure: 'weak' } : null
  },
  messages: say.messages,
})
