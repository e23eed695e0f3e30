import { defineAnswer } from '../answer.ts'
import { names } from '../evidence.ts'
import { isRising } from '../signals.ts'

export const nothing = defineAnswer({
  kind: 'nothing',
  says: 'Nothing to change.',
  school: 'All schools leave alone what goes well.',
  holds({ lifts, checkIns }, _policy, library) {
    const rising = lifts.filter(isRising)
    const going = rising.length
      ? { id: 'nothing.rising', data: { lifts: names(library, rising) } }
      : { id: 'nothing.steady', data: {} }
    const asked = checkIns.length ? [{ id: 'nothing.fresh', data: {} }] : []
    return { evidence: [going, ...asked], sure: checkIns.length ? 'likely' : 'possible' }
  },
  messages: {
    'nothing.rising': '{lifts}: rising',
    'nothing.steady': 'no lift falls, and none is missed again and again',
    'nothing.fresh': 'no check-in says otherwise',
  },
})
