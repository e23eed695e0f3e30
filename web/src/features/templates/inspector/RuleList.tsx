import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import type { Id } from '@young-oak/core/parsing'
import { liftName, type Library } from '@young-oak/core/library'
import { ruleOf } from '@young-oak/core/progressions'
import { triggerOf } from '@young-oak/core/triggers'
import { sayTurns, type Command, type Template } from '@young-oak/core/template'
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
  const turning = only ? [] : Object.values(draft.slots).filter(({ rotation }) => rotation)
  if (!progressions.length && !turning.length) return null
  const put = (command: Command | null) => command && dispatch(edit(command))
  return (
    <section aria-label="Progressions">
      <h3 className="text-lg">Progressions</h3>
      <ul className="mt-1 grid gap-2 text-sm">
        {progressions.map(([id, { stages, inPhases = [] }]) => (
          <li key={id}>
            <span className="font-medium">{liftsOf(library, draft, id)}</span>
            <div>
              {stages.map(({ id: stage, rule, params, until, offers, waits }, i) => (
                <p key={stage} className="text-bark">
                  {ruleOf[rule].sentence(params)} {waits && 'A hit needs a good technique rating to count. '}
                  {until &&
                    `${offers ? 'The next progression is offered' : 'The lift goes on'} ${triggerOf[until.trigger].sentence(until)}. `}
                  <Button
                    look="quiet"
                    className="min-h-0"
                    aria-label={`Change the progression of ${liftsOf(library, draft, id)}, stage ${i + 1}`}
                    onClick={() => setOpen({ progression: id, stage })}
                  >
                    Change
                  </Button>
                  {i > 0 && (
                    <Button
                      look="quiet"
                      className="ml-3 min-h-0"
                      onClick={() => put(removeStage(draft, id, stage))}
                    >
                      Remove this progression
                    </Button>
                  )}
                  {i === stages.length - 1 && (
                    <>
                      <Button look="quiet" className="min-h-0 px-2" onClick={() => put(addStage(draft, id))}>
                        Add the next progression
                      </Button>
                      {phasesWithout(draft, id).length > 0 && (
                        <Button
                          look="quiet"
                          className="min-h-0 px-2"
                          onClick={() =>
                            setOpen({ progression: id, phase: phasesWithout(draft, id)[0] ?? '' })
                          }
                        >
                          Another progression in one phase…
                        </Button>
                      )}
                    </>
                  )}
                </p>
              ))}
              {inPhases.map(({ phase, rule, params }) => (
                <p key={phase} className="text-bark">
                  In {phaseName(draft, phase)}: {ruleOf[rule].sentence(params)}{' '}
                  <Button
                    look="quiet"
                    className="min-h-0"
                    aria-label={`Change the progression of ${liftsOf(library, draft, id)} in ${phaseName(draft, phase)}`}
                    onClick={() => setOpen({ progression: id, phase })}
                  >
                    Change
                  </Button>
                  <Button
                    look="quiet"
                    className="ml-3 min-h-0"
                    aria-label={`Remove the progression of ${liftsOf(library, draft, id)} in ${phaseName(draft, phase)}`}
                    onClick={() => put(removePhaseRule(draft, id, phase))}
                  >
                    Remove
                  </Button>
                </p>
              ))}
            </div>
          </li>
        ))}
        {turning.map((slot) => (
          <li key={`${liftName(library, slot)}/${sayTurns(library, slot)}`} className="text-bark">
            <span className="font-medium text-ink">{liftName(library, slot)}</span> {sayTurns(library, slot)}
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

const phaseName = ({ phases }: Template, id: Id): string =>
  phases.find((phase) => phase.id === id)?.name ?? id

const liftsOf = (library: Library, draft: Template, id: string): string => {
  const names = Object.values(draft.slots)
    .filter(({ uses }) => uses.some(({ progression }) => progression === id))
    .map((slot) => liftName(library, slot))
  return [...new Set(names)].join(', ')
}
