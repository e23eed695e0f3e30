import { exerciseOf, liftName, readingWords, saySuits } from '@young-oak/core/library'
import { explain } from '@young-oak/core/explain'
import { sayAdjustment, type Slot, type Template } from '@young-oak/core/template'
import { formatAsked } from '@young-oak/core/views'
import { Alert } from '../../../ui/Alert.tsx'
import { sentence } from '../../../ui/sentence.ts'
import type { Preview } from '../../../workers/planner.ts'
import { useLibrary } from '../../library/useLibrary.ts'
import { Answers } from './Answers.tsx'
import type { Selected } from './selected.ts'
import { slotAnswers } from './slotAnswers.tsx'
import { usePut } from './usePut.ts'

type Props = { draft: Template; selected: Selected; preview: Preview | null; memberName?: string }

/** A slot: its exercise in words, what its lines say beside their cells, which muscles it counts for, and the chosen member's loads with their why. */
export function SlotAspect({ draft, selected, preview, memberName }: Props) {
  const library = useLibrary()
  const { put, fault } = usePut(draft)
  const { slot: id = '' } = selected
  const slot = draft.slots[id]
  if (!slot) return <p className="text-bark">Select a line of the sheet to see its exercise.</p>
  const { cue, caution, pattern, cost, spine, reads, substitutes = [] } = exerciseOf(library, slot)
  const suits = saySuits(exerciseOf(library, slot))
  return (
    <section aria-label={`Exercise ${liftName(library, slot)}`} className="grid gap-4">
      <div>
        <h3 className="text-lg">{liftName(library, slot)}</h3>
        <p className="text-sm text-bark">
          {cue} {sentence(pattern)}
          {suits && `, suits ${suits}`}; {readingWords[reads]}. Recovery cost {cost} of 5, spine load {spine}{' '}
          of 5.
          {substitutes.length > 0 &&
            ` Substitutes: ${substitutes.map((one) => liftName(library, { exercise: one as Slot['exercise'] }).toLowerCase()).join(', ')}.`}
        </p>
        {caution && <p className="mt-1 text-sm text-acorn">{caution}</p>}
      </div>
      <MemberWhy slotId={id} selected={selected} preview={preview} memberName={memberName} />
      <Tracks draft={draft} slotId={id} />
      <Answers key={id} answers={slotAnswers({ library, draft, selected, id, slot, put })} />
      <Alert>{fault}</Alert>
    </section>
  )
}

type WhyProps = { slotId: string; selected: Selected; preview: Preview | null; memberName?: string }

/** How the chosen member's load in the week that is open is worked out, step by step. */
function MemberWhy({ slotId, selected, preview, memberName }: WhyProps) {
  if (!memberName)
    return (
      <p className="text-sm text-bark">
        Choose a member above (“Loads of”) to see how each load is worked out.
      </p>
    )
  const planned = preview?.weeks
    .filter((week) => week.phase === selected.phase && week.phaseWeek === (selected.row ?? 0) + 1)
    .flatMap(({ places }) => places)
    .flatMap(({ slots }) => slots)
    .find(({ slot }) => slot === slotId)
  const prescriptions = planned?.sets.filter(({ load }) => load) ?? []
  if (!prescriptions.length)
    return <p className="text-sm text-bark">{memberName} has no load in this week.</p>
  return (
    <div className="text-sm">
      {prescriptions.map((prescribed) => (
        <div key={prescribed.prescription} className="mb-2">
          <p className="font-serif font-semibold">
            {memberName}: {prescribed.load && formatAsked(prescribed, prescribed.load)}
          </p>
          <ol className="border-l-2 border-leaf">
            {prescribed.why.map((step, i) => (
              <li key={i} className="py-0.5 pl-3">
                {sentence(explain(step))}
              </li>
            ))}
          </ol>
        </div>
      ))}
    </div>
  )
}

/** What tracks change of this very slot. */
function Tracks({ draft, slotId }: { draft: Template; slotId: string }) {
  const library = useLibrary()
  const said = Object.values(draft.tracks).flatMap(({ name, changes }) =>
    changes
      .filter(({ where }) => where.slots?.includes(slotId))
      .map((change) => `${name}: ${sayAdjustment(library, draft, change).what}`),
  )
  return said.length ? <p className="text-sm">In tracks: {said.join('; ')}.</p> : null
}
