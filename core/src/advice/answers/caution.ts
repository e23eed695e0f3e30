import { declareSteps } from '../../words/index.ts'
import { liftName } from '../../library/index.ts'
import { defineAnswer } from '../answer.ts'

const say = declareSteps({
  'caution.lift': '{lift} hurt in the last two weeks',
  'caution.joints': 'the check-in says that joints are painful',
})

/** Pain leads to caution, not to advice. */
export const caution = defineAnswer({
  kind: 'caution',
  says: 'Sharp, radiating or joint pain: stop what hurts, log it, and see a licensed professional. No advice is given while it hurts.',
  school: 'This is not medical advice, and no plan is made around pain.',
  isCaution: true,
  holds({ pains, checkIns }, _policy, library) {
    const isPainful = checkIns[0]?.joints === 'painful'
    if (!pains.length && !isPainful) return null
    const lifts = pains.map((lift) => say('caution.lift', { lift: liftName(library, lift) }))
    return {
      evidence: isPainful ? [...lifts, say('caution.joints', {})] : lifts,
      sure: 'likely',
    }
  },
  messages: say.messages,
})
