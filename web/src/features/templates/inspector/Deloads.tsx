import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { Adjustment } from '@young-oak/core/adjustments'
import { sayAdjustment, type Command, type Phase, type Template } from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { edit } from '../editorSlice.ts'
import { DeloadForm } from './DeloadForm.tsx'

/** Deloads of each phase as lines, and the recipes to put more of them in. */
export function Deloads({ draft, only }: { draft: Template; only?: string }) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [open, setOpen] = useState<string | null>(null)
  const phase = draft.phases.find(({ id }) => id === open)
  return (
    <section aria-label="Deloads">
      <h3 className="text-lg">Deloads</h3>
      <ul className="mt-1 grid gap-1 text-sm">
        {draft.phases
          .filter(({ id }) => only === undefined || id === only)
          .map((one) => (
            <li key={one.id}>
              {only === undefined && <span className="font-medium">{one.name}</span>}
              <div>
                {one.deloads.length === 0 && <p className="text-bark">None planned.</p>}
                {one.deloads.map((deload) => {
                  const { where, what } = sayAdjustment(library, draft, deload)
                  return (
                    <p key={deload.id} className="text-bark">
                      <span className="text-ink">{where}:</span> {what}{' '}
                      <Button
                        look="quiet"
                        className="min-h-0"
                        aria-label={`Remove: ${where}, ${what}`}
                        onClick={() => dispatch(edit(without(one, deload)))}
                      >
                        Remove
                      </Button>
                    </p>
                  )
                })}
                <Button look="quiet" className="-ml-3.5 min-h-0" onClick={() => setOpen(one.id)}>
                  Add a deload…
                </Button>
              </div>
            </li>
          ))}
      </ul>
      {phase && (
        <Modal
          title={`A deload in ${phase.name}`}
          about="A deload lowers load, hard sets or effort, and raises none of them."
          isOpen
          onClose={() => setOpen(null)}
        >
          <DeloadForm draft={draft} phase={phase} onClose={() => setOpen(null)} />
        </Modal>
      )}
    </section>
  )
}

const without = (phase: Phase, deload: Adjustment): Command => ({
  do: 'setDeloads',
  phase: phase.id,
  from: phase.deloads,
  to: phase.deloads.filter((one) => one !== deload),
})
