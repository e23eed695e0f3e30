import { type WhyStep, declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { falls, names, tiredness } from '../evidence.ts'
import { isRising, limits } from '../signals.ts'

const say = declareSteps({
  'skipPlanned.rising': '{lifts}: progressing',
  'skipPlanned.left': '{left} RIR on average, which leaves enough recovery',
  'skipPlanned.days': '{days} days a week leave enough recovery',
})

export const skipPlanned = defineAnswer({
  kind: 'skipPlanned',
  says: 'Skip the planned deload: train as written, and ask again next week.',
  school: 'Reactive: a planned deload can fall on a week that needs none. Other coaches take it anyway.',
  holds(signals, policy, library) {
    const {
      plannedDeloadIn: plannedDeloadIn,
      lifts,
      usualRir: usualLeft,
      daysAWeek,
      event,
      checkIns,
    } = signals
    if (policy === 'planned' || plannedDeloadIn === null || plannedDeloadIn > 1 || event) return null
    if (
      falls(library, signals).length ||
      tiredness(library, signals).length ||
      checkIns[0]?.joints === 'achy'
    )
      return null
    const rising = lifts.filter(isRising)
    const isEasy = (usualLeft !== null && usualLeft >= limits.easyRir) || daysAWeek <= limits.easyDays
    if (!isEasy || rising.length * 2 < lifts.length || !rising.length) return null
    const easy: WhyStep =
      usualLeft !== null && usualLeft >= limits.easyRir
        ? say('skipPlanned.left', { left: usualLeft })
        : say('skipPlanned.days', { days: daysAWeek })
    return {
      evidence: [say('skipPlanned.rising', { lifts: names(library, rising) }), easy],
      sure: checkIns.length ? 'likely' : 'possible',
    }
  },
  messages: say.messages,
})
