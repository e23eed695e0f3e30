import { memo } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import type { Template } from '@young-oak/core/template'
import type { Preview } from '../../../workers/planner.ts'
import { TabRow } from '../../../ui/TabRow.tsx'
import { PhaseAspect } from './PhaseAspect.tsx'
import { ProgressionAspect } from './ProgressionAspect.tsx'
import { aspects, type Aspect, type Selected } from './selected.ts'
import { SessionAspect } from './SessionAspect.tsx'
import { SlotAspect } from './SlotAspect.tsx'
import { TemplateAspect } from './TemplateAspect.tsx'
import { TrackAspect } from './TrackAspect.tsx'

type Props = {
  draft: Template
  template: string
  selected: Selected
  aspect: Aspect
  onAspect: (aspect: Aspect) => void
  /** Whoever rules are tried on. */
  file: MemberFile
  preview: Preview | null
  memberName?: string
}

const titles: Record<Aspect, string> = {
  template: 'Template',
  track: 'Tracks',
  phase: 'Phase',
  session: 'Session',
  slot: 'Exercise',
  progression: 'Progression',
}

/** Everything that can be said of what the keyboard stands on, from the template to the slot's rules. */
export const Inspector = memo(function Inspector({
  draft,
  template,
  selected,
  aspect,
  onAspect,
  file,
  preview,
  memberName,
}: Props) {
  return (
    <aside
      aria-label="Inspector"
      className="border-t border-line pt-3 xl:border-t-0 xl:border-l xl:pt-0 xl:pl-4"
    >
      <TabRow
        label="What is inspected"
        id="aspect"
        tabs={aspects}
        titles={titles}
        chosen={aspect}
        panel="aspect"
        className="text-sm"
        onChoose={onAspect}
      />
      <div id="aspect" role="tabpanel" aria-labelledby={`aspect-${aspect}`} className="grid gap-5 py-3">
        {aspect === 'template' && <TemplateAspect draft={draft} template={template} file={file} />}
        {aspect === 'track' && <TrackAspect draft={draft} selected={selected} />}
        {aspect === 'phase' && (
          <PhaseAspect
            draft={draft}
            template={template}
            file={file}
            phase={selected.phase}
            week={selected.row}
          />
        )}
        {aspect === 'session' && (
          <SessionAspect draft={draft} phase={selected.phase} session={selected.session} />
        )}
        {aspect === 'slot' && (
          <SlotAspect draft={draft} selected={selected} preview={preview} memberName={memberName} />
        )}
        {aspect === 'progression' && (
          <ProgressionAspect draft={draft} template={template} slotId={selected.slot} file={file} />
        )}
      </div>
    </aside>
  )
})
