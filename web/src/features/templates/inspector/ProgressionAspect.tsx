import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import { knownProgression } from '@young-oak/core/editing'
import { liftName } from '@young-oak/core/library'
import { progressionName, sayProgression, type Template } from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { RuleList } from './RuleList.tsx'
import { RulePreview } from './RulePreview.tsx'
import { SlotRules } from './SlotRules.tsx'
import { withKnown } from './slotRules.ts'
import { usePut } from './usePut.ts'

type Props = { draft: Template; template: string; slotId?: string; file: MemberFile }

/** The rules that a slot follows, each with its sentence and form; the one that its lift has elsewhere; what all its weeks come to. */
export function ProgressionAspect({ draft, template, slotId = '', file }: Props) {
  const library = useLibrary()
  const { put, fault } = usePut(draft)
  const [isForeseen, setForeseen] = useState(false)
  const slot = draft.slots[slotId]
  if (!slot) return <p className="text-bark">Select a line of the sheet to see its progression.</p>
  const own = slot.uses.map(({ progression }) => progression)
  const known = knownProgression(draft, slot.exercise)
  const offered =
    known && !own.includes(known.progression) ? draft.progressions[known.progression] : undefined
  return (
    <section aria-label={`Progressions of ${liftName(library, slot)}`} className="grid gap-4">
      <h3 className="text-lg">{liftName(library, slot)}</h3>
      {known && offered && (
        <div className="rounded bg-leaf-wash p-3 text-sm">
          <p>
            {progressionName(library, draft, known.progression)} exists already: {sayProgression(offered)}
          </p>
          <Button className="mt-2" onClick={() => put(withKnown(draft, slotId, known.progression))}>
            Use {progressionName(library, draft, known.progression)} here too
          </Button>
          {fault && <p className="mt-1 text-brick">{fault}</p>}
        </div>
      )}
      {own.length > 0 && <RuleList draft={draft} template={template} file={file} only={own} />}
      <SlotRules key={slotId} draft={draft} slotId={slotId} slot={slot} />
      <Button look="plain" className="justify-self-start text-sm" onClick={() => setForeseen(true)}>
        Preview all weeks…
      </Button>
      {isForeseen && (
        <Modal title={liftName(library, slot)} isOpen isWide onClose={() => setForeseen(false)}>
          <RulePreview draft={draft} template={template} file={file} trial={null} slots={[slotId]} />
        </Modal>
      )}
    </section>
  )
}
