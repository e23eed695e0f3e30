import { declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { falls, tiredness } from '../evidence.ts'
import { limits } from '../signals.ts'

const say = declareSteps({ 'mendSleep.nights': 'sleep was poor in {count} of the last {of} check-ins' })

export const mendSleep = defineAnswer({
  kind: 'mendSleep',
  says: 'Mend sleep first: what is lost at night no light week brings back. Ask again when it is better.',
  school: 'Recovery first. Another school takes the light week at once, and mends sleep in it.',
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
