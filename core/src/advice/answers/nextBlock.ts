import { type WhyStep, declareSteps } from '../../words/index.ts'
import { defineAnswer } from '../answer.ts'
import { names, tiredness } from '../evidence.ts'
import { isFlat, limits } from '../signals.ts'

const say = declareSteps({
  'nextBlock.flat': '{lifts}: no progress in {exposures} sessions or more, without tiredness',
  'nextBlock.weeks': '{weeks} weeks in this phase',
})

export const nextBlock = defineAnswer({
  kind: 'nextBlock',
  says: 'Start the next phase: lifts that stall without tiredness need a new stimulus, not less work.',
  school: 'Change the phase after three to six weeks. Other coaches would finish the phase, or deload first.',
  holds(signals, _policy, library) {
    const { lifts, phase } = signals
    const flat = lifts.filter(isFlat)
    if (!phase.hasNext || phase.weeksIn < limits.blockWeeks || tiredness(library, signals).length > 0)
      return null
    if (!flat.length || flat.length * 2 < lifts.length) return null
    const evidence: WhyStep[] = [
      say('nextBlock.flat', { lifts: names(library, flat), exposures: limits.flatExposures }),
      say('nextBlock.weeks', { weeks: phase.weeksIn }),
    ]
    return {
      evidence,
      sure: flat.length === lifts.length && lifts.length > 1 ? 'likely' : 'possible',
    }
  },
  messages: say.messages,
})
