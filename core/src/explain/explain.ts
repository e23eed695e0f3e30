import { answerOf } from '../advice/answers/registry.ts'
import { evidenceMessages } from '../advice/evidence.ts'
import { changeOf } from '../adjustments/registry.ts'
import { sourceOf } from '../loads/registry.ts'
import { showMessages } from '../plan/round.ts'
import { stageMessages } from '../plan/standing.ts'
import { rowMessages } from '../plan/rows.ts'
import { firstLoadMessages } from '../progressions/firstLoad.ts'
import { steadyMessages } from '../progressions/steady.ts'
import { ruleOf } from '../progressions/registry.ts'
import { warmUpMessages } from '../warmups/ramp.ts'
import { fill, type Messages, type Rung } from './rung.ts'

/** Every sentence that a load's ladder can hold, by id. */
export const messages: Messages = Object.assign(
  {},
  showMessages,
  rowMessages,
  stageMessages,
  firstLoadMessages,
  steadyMessages,
  warmUpMessages,
  evidenceMessages,
  ...[sourceOf, ruleOf, changeOf, answerOf].flatMap((family) =>
    Object.values(family).map((unit) => unit.messages),
  ),
)

/** One rung in words: "62.5 kg was a hit on 2 Mar 2026: plus 2.5 kg is 65 kg". Throws on an id nobody declares. */
export function explain(rung: Rung): string {
  const sentence = messages[rung.id]
  if (sentence === undefined) throw new Error(`unknown rung "${rung.id}"`)
  return fill(sentence, rung.data)
}
