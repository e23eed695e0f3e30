import { declareSteps } from '../../words/index.ts'
import type { Muscle } from '../../library/index.ts'
import { defineAnswer } from '../answer.ts'
import { fall, tiredness } from '../evidence.ts'
import { fallingIn, main, isRising, limits } from '../signals.ts'

const say = declareSteps({
  'partial.sore': 'still sore when trained again: {muscles}',
  'partial.others': 'the other lifts progress',
})

export const partialDeload = defineAnswer({
  kind: 'partialDeload',
  says: 'Deload these muscles only, and train the rest as written.',
  school: 'Reactive and local. Coaches who plan deloads lighten the whole week, since tiredness is shared.',
  holds(signals, policy, library) {
    if (policy === 'planned' || tiredness(library, signals).length > 1) return null
    if (signals.weeksSinceDeload !== null && signals.weeksSinceDeload < limits.closest) return null
    const falling = fallingIn(signals)
    const others = signals.lifts.filter((lift) => !falling.includes(lift))
    const muscles = [
      ...new Set<Muscle>([...signals.soreMuscles, ...falling.flatMap((one) => main(library, one) ?? [])]),
    ]
    const isLocal = muscles.length === 1 || (muscles.length === 2 && signals.soreMuscles.length === 2)
    const hasSigns = falling.length > 1 || signals.soreMuscles.length > 0
    if (!isLocal || !hasSigns || !others.some(isRising)) return null
    const sore = signals.soreMuscles.length
      ? [say('partial.sore', { muscles: signals.soreMuscles.join(', ') })]
      : []
    return {
      evidence: [...falling.map((one) => fall(library, one)), ...sore, say('partial.others', {})],
      sure: falling.length && sore.length ? 'likely' : 'possible',
      suggest: { recipe: 'fewerSets', params: { percent: 50 }, muscles },
    }
  },
  messages: say.messages,
})
