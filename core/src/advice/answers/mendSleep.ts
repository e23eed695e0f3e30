import { declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { falls, tiredness } from '../evidence.ts'
import { limits } from '../signals.ts'

const say = declareSteps({ 'mendSleep.nights': 'sleep was poor in {count} of the last {of} check-ins' })

export const mendSleep = defineAnswer({
  kind: 'mendSleep',
  says: 'Improve sleep first: a deload does not replace it. Ask again when sleep is better.',
  school: 'Recovery first. Other coaches deload at once and improve sleep meanwhile.',
  holds(signals, _policy, library) {
    const poor = signals.checkIns.filter(({ sleep }) => sleep !== undefined && sleep <= limits.poor).length
    if (poor < 2) return null
    const more = [...falls(library, signals), ...tiredness(library, signals)]
    return {
      evidence: [say('mendSleep.nights', { count: poor, of: signals.checkIns.length }), ...more],
      sure: more.length ? 'likely' : 'possible',
    }
  },
  messages: say.messages,
})
