import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import type { Id } from '@young-oak/core/parsing'
import { liftName, type Library } from '@young-oak/core/library'
import { ruleOf } from '@young-oak/core/progressions'
import { triggerOf } from '@young-oak/core/triggers'
import { sayChoices, sayTurns, type Command, type Slot, type Template } from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { edit } from '../editorSlice.ts'
import { RuleForm } from './RuleForm.tsx'
import { addStage, phasesWithout, removePhaseRule, removeStage, type Target } from './ruleTarget.ts'

type Props = { draft: Template; template: string; file: MemberFile; only?: Id[] }

/** The rules of the template as plain sentences, each with the slots that feed it, the stages that follow one another, and what phases have of their own. */
export function RuleList({ draft, template, file, only }: Props) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [open, setOpen] = useState<Target | null>(null)
  const progressions = Object.entries(draft.progressions).filter(([id]) => !only || only.includes(id))
  const turning = only
    ? []
    : Object.values(draft.slots).filter(({ rotation, choices }) => rotation ?? choices)
  if (!progressions.length && !turning.length) return null
  const put = (command: Command | null) => command && dispatch(edit(command))
  return (
    <section aria-label="Progressions">
      <h3 className="text-lg">Progressions</h3>
      <ul className="mt-1 grid gap-2 text-sm">
        {progressions.map(([id]) => (
          <ProgressionItem key={id} draft={draft} id={id} onOpen={setOpen} onPut={put} />
        ))}
        {turning.map((slot) => (
          <li key={`${liftName(library, slot)}/${sayOthers(library, slot)}`} className="text-bark">
            <span className="font-medium text-ink">{liftName(library, slot)}</span> {sayOthers(library, slot)}
          </li>
        ))}
      </ul>
      {open && (
        <Modal
          title={liftsOf(library, draft, open.progression)}
          about="Changes act from the next version on."
          isOpen
          isWide
          onClose={() => setOpen(null)}
        >
          <RuleForm
            key={JSON.stringify(open)}
            draft={draft}
            template={template}
            file={file}
            target={open}
            onClose={() => setOpen(null)}
          />
        </Modal>
      )}
    </section>
  )
}

type ItemProps = {
  draft: Template
  id: Id
  onOpen: (target: Target) => void
  onPut: (command: Command | null) => void
}

/** One progression: its stages in order, and what phases have of their own. */
function ProgressionItem({ draft, id, onOpen, onPut }: ItemProps) {
  const library = useLibrary()
  const { stages = [], inPhases = [] } = draft.progressions[id] ?? {}
  const lifts = liftsOf(library, draft, id)
  const free = phasesWithout(draft, id)
  return (
    <li>
      <span className="font-medium">{lifts}</span>
      {stages.map(({ id: stage, rule, params, until, offers, waits }, i) => (
        <p key={stage} className="text-bark">
          {ruleOf[rule].sentence(params)} {waits && 'A hit needs a good technique rating to count. '}
          {until &&
            `${offers ? 'The next progression is offered' : 'The next progression starts'} ${triggerOf[until.trigger].sentence(until)}. `}
          <Small
            label={`Change the progression of ${lifts}, stage ${i + 1}`}
            onClick={() => onOpen({ progression: id, stage })}
          >
            Change
          </Small>
          {i > 0 && (
            <Small
              label={`Remove this progression of ${lifts}, stage ${i + 1}`}
              onClick={() => onPut(removeStage(draft, id, stage))}
            >
              Remove this progression
            </Small>
          )}
        </p>
      ))}
      {inPhases.map(({ phase, rule, params }) => (
        <p key={phase} className="text-bark">
          In {phaseName(draft, phase)}: {ruleOf[rule].sentence(params)}{' '}
          <Small
            label={`Change the progression of ${lifts} in ${phaseName(draft, phase)}`}
            onClick={() => onOpen({ progression: id, phase })}
          >
            Change
          </Small>
          <Small
            label={`Remove the progression of ${lifts} in ${phaseName(draft, phase)}`}
            onClick={() => onPut(removePhaseRule(draft, id, phase))}
          >
            Remove
          </Small>
        </p>
      ))}
      <p>
        <Small label={`Add the next progression of ${lifts}`} onClick={() => onPut(addStage(draft, id))}>
          Add the next progression
        </Small>
        {free[0] !== undefined && (
          <Small
            label={`Another progression in one phase… for ${lifts}`}
            onClick={() => onOpen({ progression: id, phase: free[0] ?? '' })}
          >
            Another progression in one phase…
          </Small>
        )}
      </p>
    </li>
  )
}

type SmallProps = { label: string; onClick: () => void; children: string }

/** A button within a sentence; its name says what it is of. */
const Small = ({ label, onClick, children }: SmallProps) => (
  <Button look="quiet" className="mr-3 min-h-0 px-0" aria-label={label} onClick={onClick}>
    {children}
  </Button>
)

const phaseName = ({ phases }: Template, id: Id): string =>
  phases.find((phase) => phase.id === id)?.name ?? id

const liftsOf = (library: Library, draft: Template, id: string): string => {
  const names = Object.values(draft.slots)
    .filter(({ uses }) => uses.some(({ progression }) => progression === id))
    .map((slot) => liftName(library, slot))
  return [...new Set(names)].join(', ')
}

/** The lifts that take turns with a slot's own, or may be chosen in its place. */
const sayOthers = (library: Library, slot: Slot): string =>
  slot.rotation ? sayTurns(library, slot) : sayChoices(library, slot)
