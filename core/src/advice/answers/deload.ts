import { declareSteps } from '../../words/index.ts'
import { liftName } from '../../library/index.ts'
import { defineAnswer, type Found } from '../answer.ts'
import { falls, isDue, tiredness } from '../evidence.ts'
import { limits, type Signals } from '../signals.ts'

const say = declareSteps({
  'deload.asks': '{lift} has not beaten its last result for as long as its progression waits',
  'deload.event': 'next week: {what}',
})

export const deload = defineAnswer({
  kind: 'deload',
  says: 'Take a deload week.',
  school:
    'Reactive deload: several indications at once. A planned deload would have come by now, or is still to come.',
  holds(signals, policy, library) {
    if (policy === 'planned') return null
    if (signals.weeksSinceDeload !== null && signals.weeksSinceDeload < limits.closest) return null
    const [fallen, tired, due] = [falls(library, signals), tiredness(library, signals), isDue(signals)]
    const asks = signals.asks.map((lift) => say('deload.asks', { lift: liftName(library, lift) }))
    const { event } = signals
    const away = event && event.inWeeks <= 1 ? [say('deload.event', { what: event.what })] : []
    const evidence = [...fallen, ...asks, ...tired, ...due, ...away]
    // One sign is none: lifts that fall count two at most, and a deload that is due needs something beside it.
    const weight =
      Math.min(2, fallen.length) + Math.min(2, asks.length * 2) + tired.length + due.length + away.length
    if (weight < 2 || (!fallen.length && !asks.length && !tired.length && !(due.length && away.length)))
      return null
    return { evidence, sure: weight > 2 ? 'likely' : 'possible', suggest: recipeFor(signals) }
  },
  messages: say.messages,
})

/** Aching joints get lighter bars; a trip fewer days; otherwise the load stays and sets fall, so that technique is kept. */
function recipeFor({ checkIns, event }: Signals): Found['suggest'] {
  if (checkIns[0]?.joints === 'achy') return { recipe: 'lessLoad', params: { percent: 15 } }
  if (event && event.inWeeks <= 1 && event.what === 'trip')
    return { recipe: 'fewerDays', params: { days: 2 } }
  return { recipe: 'fewerSets', params: { percent: 50 } }
}
