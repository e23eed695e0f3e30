import type { ProgressView } from '@young-oak/api/progress'
import { answerOf, type Advice } from '@young-oak/core/advice'
import { explain } from '@young-oak/core/explain'
import { deloadOf } from '@young-oak/core/deloads'
import { Button } from '../../ui/Button.tsx'
import { useGive } from './useGive.ts'

type Program = ProgressView['programs'][number]
type Props = {
  program: Program
  isOnly: boolean
  taken: ProgressView['taken']
  member?: string
  phase?: string
}

const sureWords = { likely: 'likely', possible: 'possible', weak: 'weak evidence' }

/** What the advisor says of a program, what it goes by, and how sure it is; it changes nothing until it is accepted. */
export function AdviceCard({ program, isOnly, taken, member }: Props) {
  const { advice, name, policy } = program
  const { says, school, isCaution } = answerOf[advice.answer]
  const { give, isBusy } = useGive(member)
  const known = taken[advice.answer]
  const act = actionFor(advice, program)
  const accept = async () => {
    for (const fact of act?.facts ?? []) if (!(await give(fact, act?.done ?? ''))) return
    await give({ kind: 'adviceTaken', answer: advice.answer, taken: true }, act?.done ?? 'Noted.')
  }
  return (
    <article
      className={`rounded-lg border p-4 ${isCaution ? 'border-brick bg-brick-wash text-brick' : 'border-line bg-sheet'}`}
    >
      {!isOnly && <p className="text-sm text-bark">{name}</p>}
      <h2 className="text-xl">{says}</h2>
      <ul className={`mt-2 list-disc pl-5 text-sm ${isCaution ? '' : 'text-bark'}`}>
        {advice.evidence.map((step) => (
          <li key={step.id + JSON.stringify(step.data)}>{explain(step)}</li>
        ))}
      </ul>
      {!isCaution && (
        <p className="mt-2 text-sm text-bark">
          Confidence: {sureWords[advice.sure]}. {school} {policyWords[policy]}
        </p>
      )}
      {advice.suggest && (
        <p className="mt-2 text-sm">
          {deloadOf[advice.suggest.recipe].sentence(advice.suggest.params)}
          {advice.suggest.muscles && ` For ${advice.suggest.muscles.join(' and ')} alone.`}
        </p>
      )}
      {act && known && (
        <p role="status" className="mt-2 text-sm text-bark">
          {known.taken
            ? 'You accepted this advice.'
            : 'You dismissed this advice; it may come again in a week.'}
        </p>
      )}
      {act && !known && (
        <p className="mt-3 flex flex-wrap gap-3">
          <Button className="min-h-11" disabled={isBusy} onClick={() => void accept()}>
            {act.label}
          </Button>
          <Button
            look="plain"
            className="min-h-11"
            disabled={isBusy}
            onClick={() =>
              void give({ kind: 'adviceTaken', answer: advice.answer, taken: false }, 'Advice dismissed.')
            }
          >
            Not now
          </Button>
        </p>
      )}
    </article>
  )
}

const policyWords: Record<Program['policy'], string> = {
  planned: 'This program uses planned deloads only.',
  reactive: 'This program uses reactive deloads: they come when a member needs one.',
  both: 'This program uses planned and reactive deloads.',
}

type Action = { label: string; done: string; facts: ({ kind: string } & Record<string, unknown>)[] }

/** What accepting does: each is an entry that can be taken back; none changes what is behind. */
function actionFor({ answer, suggest }: Advice, { phase }: Program): Action | null {
  const changes = suggest && deloadOf[suggest.recipe].weeks(suggest.params).flatMap((week) => week.do)
  switch (answer) {
    case 'deload':
    case 'partialDeload':
      return {
        label: 'Make the next week a deload',
        done: 'The next week is a deload.',
        facts: [
          {
            kind: 'deload',
            changes,
            ...(suggest?.muscles && { muscles: suggest.muscles }),
            shift: true,
            weeks: 1,
            reason: 'advice',
          },
        ],
      }
    case 'skipPlanned':
      return {
        label: 'Train as written',
        done: 'The next planned deload is trained as a normal week.',
        facts: [{ kind: 'skipDeload' }],
      }
    case 'nextBlock':
      return {
        label: 'Start the next phase',
        done: 'The next phase starts with the next week.',
        facts: phase ? [{ kind: 'nextPhase', phase }] : [],
      }
    case 'lowerVolume':
      return {
        label: 'Cut sets by 20%',
        done: '20% fewer sets from the next session, until you undo this.',
        facts: [
          {
            kind: 'adjust',
            adjustment: {
              id: 'standing-volume',
              do: { kind: 'scaleSets', by: -20, round: 'nearest' },
              where: {},
            },
          },
        ],
      }
    default:
      return null
  }
}
