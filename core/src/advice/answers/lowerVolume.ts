import { declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { tiredness } from '../evidence.ts'
import { limits } from '../signals.ts'

const say = declareSteps({ 'lowerVolume.soon': 'the last deload is only {weeks} weeks ago' })

export const lowerVolume = defineAnswer({
  kind: 'lowerVolume',
  says: 'Cut weekly sets by about a fifth: they are more than you recover from, even with deloads.',
  school: 'Sets of a normal week matter most here. Other coaches deload more often instead.',
  holds(signals, _policy, library) {
    const { weeksSinceDeload } = signals
    const tired = tiredness(library, signals)
    const isSoon = weeksSinceDeload !== null && weeksSinceDeload < limits.closest
    const isSore = signals.soreMuscles.length > 2 || signals.tooMuch > 2
    if (!(isSoon && tired.length > 1) && !isSore) return null
    const soon = isSoon ? [say('lowerVolume.soon', { weeks: weeksSinceDeload })] : []
    return { evidence: [...soon, ...tired], sure: isSoon && tired.length > 1 ? 'likely' : 'possible' }
  },
  messages: say.messages,
})
