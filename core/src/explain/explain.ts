import { answerOf, evidenceMessages } from '../advice/index.ts'
import { changeOf } from '../adjustments/index.ts'
import { sourceOf } from '../loads/index.ts'
import { showMessages, sayStage, rowMessages, choiceMessages, layoutMessages } from '../plan/index.ts'
import { sayFirst, saySteady, ruleOf } from '../progressions/index.ts'
import { warmUpMessages } from '../warmups/index.ts'
import { fill, type Messages, type WhyStep } from '../words/index.ts'

/** Every sentence that a load's ladder can hold, by id. */
export const messages: Messages = Object.assign(
  {},
  showMessages,
  rowMessages,
  choiceMessages,
  layoutMessages,
  sayStage.messages,
  sayFirst.messages,
  saySteady.messages,
  warmUpMessages,
  evidenceMessages,
  ...[sourceOf, ruleOf, changeOf, answerOf].flatMap((family) =>
    Object.values(family).map((unit) => unit.messages),
  ),
)

/** One rung in words: "62.5 kg was a hit on 2 Mar 2026: plus 2.5 kg is 65 kg". Throws on an id nobody declares. */
export function explain(step: WhyStep): string {
  const sentence = messages[step.id]
  if (sentence === undefined) throw new Error(`unknown rung "${step.id}"`)
  return fill(sentence, step.data)
}
