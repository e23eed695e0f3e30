import { declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { tiredness } from '../evidence.ts'
import { limits } from '../signals.ts'

const say = declareSteps({ 'lowerVolume.soon': 'the last light week is only {weeks} weeks ago' })

export const lowerVolume = defineAnswer({
  kind: 'lowerVolume',
  says: 'Lower the standing volume by about a fifth: it is more than there is recovery for, light weeks or not.',
  school:
    'The week that is repeated decides, not the week that is light. Others put light weeks closer together.',
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
