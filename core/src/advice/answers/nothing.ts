import { declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { names } from '../evidence.ts'
import { isRising } from '../signals.ts'

const say = declareSteps({
  'nothing.rising': '{lifts}: progressing',
  'nothing.steady': 'no lift is down, and none is missed repeatedly',
  'nothing.fresh': 'no check-in says otherwise',
})

export const nothing = defineAnswer({
  kind: 'nothing',
  says: 'Nothing to change.',
  school: 'Coaches agree: keep what works.',
  holds({ lifts, checkIns }, _policy, library) {
    const rising = lifts.filter(isRising)
    const going = rising.length
      ? say('nothing.rising', { lifts: names(library, rising) })
      : say('nothing.steady', {})
    const asked = checkIns.length ? [say('nothing.fresh', {})] : []
    return { evidence: [going, ...asked], sure: checkIns.length ? 'likely' : 'possible' }
  },
  messages: say.messages,
})
