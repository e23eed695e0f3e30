import { liftName } from '../../library/index.ts'
import { defineAnswer } from '../answer.ts'

/** Pain leads to caution, not to advice. */
export const caution = defineAnswer({
  kind: 'caution',
  says: 'Sharp, radiating or joint pain: stop what hurts, log it, and see a licensed professional. No advice is given while it hurts.',
  school: 'No school: this is not medical advice, and no plan is made around pain.',
  isCaution: true,
  holds({ pains, checkIns }, _policy, library) {
    const isPainful = checkIns[0]?.joints === 'painful'
    if (!pains.length && !isPainful) return null
    const lifts = pains.map((lift) => ({ id: 'caution.lift', data: { lift: liftName(library, lift) } }))
    return {
      evidence: isPainful ? [...lifts, { id: 'caution.joints', data: {} }] : lifts,
      sure: 'likely',
    }
  },
  messages: {
    'caution.lift': '{lift} hurt in the last two weeks',
    'caution.joints': 'joints were said to be painful',
  },
})
