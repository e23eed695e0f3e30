import './bringEditor.ts'
import { useCallback, useDeferredValue, useEffect, useRef, useState } from 'react'
import { useParams } from 'react-router'
import type { MemberFile } from '@young-oak/api/members'
import { nominalWeeks, weekAt } from '@young-oak/core/template'
import { api, sayError } from '../../app/api.ts'
import { useAppDispatch, useAppSelector, useAppStore } from '../../app/store.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { closeDraft, dismissNotice, openDraft, redo, undo } from './editorSlice.ts'
import { Inspector } from './inspector/Inspector.tsx'
import type { Aspect, Selected } from './inspector/selected.ts'
import { keptEdits } from './keptEdits.ts'
import { MemberPicker, NameField, TrackPicker } from './Pickers.tsx'
import { Palette } from './Palette.tsx'
import { PublishDialog } from './PublishDialog.tsx'
import { sampleId, useSample } from './samples.ts'
import { SetAside } from './SetAside.tsx'
import type { ActName } from './sheet/acts/index.ts'
import { Dragging } from './sheet/Dragging.tsx'
import { WeekSheet } from './sheet/WeekSheet.tsx'
import { ShortcutsDialog } from './ShortcutsDialog.tsx'
import { SeasonStrip } from './strip/SeasonStrip.tsx'
import { Tools } from './Tools.tsx'
import { useAnnounceEdits } from './useAnnounceEdits.ts'
import { useAutosave } from './useAutosave.ts'
import { usePlanner } from './usePlanner.ts'
import { usePutOrSay } from './usePutOrSay.ts'

/** The workbench: the season above, the chosen week below, a member's loads beside every line. */
export default function EditorPage() {
  const { id = '' } = useParams()
  const { data, error, refetch } = api.useTemplateQuery(id, { refetchOnMountOrArgChange: true })
  const { data: session } = api.useSessionQuery()
  const seat = session?.seat?.id ?? ''
  const dispatch = useAppDispatch()
  const store = useAppStore()
  useEffect(() => {
    if (data && data.id === id) {
      const { library } = store.getState()
      const { revision, draft } = data
      dispatch(openDraft({ id, revision, draft, library: library.exercises, ...keptEdits(seat, id) }))
    }
    return () => void dispatch(closeDraft())
  }, [dispatch, store, id, data, seat])
  const isOpen = useAppSelector(({ editor }) => editor.id === id)
  if (error) {
    return (
      <main className="mx-auto max-w-lg p-8">
        <h1 className="text-2xl">This template did not open</h1>
        <p className="my-3 text-bark">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  if (!isOpen || !data) return <p className="p-6 text-bark">Loading…</p>
  return <Workbench id={id} seat={seat} isPublished={data.versions.length > 0} />
}

function Workbench({ id, seat, isPublished }: { id: string; seat: string; isPublished: boolean }) {
  const draft = useAppSelector(({ editor }) => editor.draft)
  // The strip and the inspector follow the sheet as soon as there is time: no key waits for them.
  const lately = useDeferredValue(draft)
  const [week, setWeek] = useState(1)
  const [member, setMember] = useState('')
  const [dialog, setDialog] = useState<'publish' | 'shortcuts' | 'palette' | null>(null)
  const sample = useSample(lately, member)
  const { data: stored, error: fileError } = api.useMemberFileQuery(member, {
    skip: !member || sample !== null,
    refetchOnMountOrArgChange: true,
  })
  const file = sample ?? stored
  const [track, setTrack] = useState('')
  const [laid, setLaid] = useState<string[]>([])
  const [selected, setSelected] = useState<Selected>({})
  const [aspect, setAspect] = useState<Aspect>('slot')
  const [hasInspector, setInspector] = useState(true)
  const [hasPublished, setPublished] = useState(false)
  const dispatch = useAppDispatch()
  useTitle(draft?.name ?? 'Template')
  useAnnounceEdits()
  const weeks = draft?.phases.reduce((sum, phase) => sum + nominalWeeks(phase), 0) ?? 0
  const chosen = Math.max(1, Math.min(week, weeks))
  const at = draft && weekAt(draft, chosen)
  const { preview, seasons, hasFailed, onTry } = usePlanner(id, {
    file: member ? file : undefined,
    track: track || null,
    phase: at?.phase.id ?? '',
    phaseWeek: at?.phaseWeek ?? 1,
    laid,
  })
  useAutosave(id, seat)
  const help = useCallback(() => setDialog('shortcuts'), [])
  const toggle = useCallback(() => setInspector((is) => !is), [])
  const publish = useCallback(() => setDialog('publish'), [])
  const palette = useCallback(() => setDialog('palette'), [])
  const runnerRef = useRef<((name: ActName) => void) | null>(null)
  useShortcuts({ help, palette, inspector: toggle })
  const usual = useSample(lately, sampleId('strong')) as MemberFile
  const put = usePutOrSay()
  const inspect = useCallback((to: Selected) => {
    setSelected(to)
    if (to.what) setAspect(to.what)
    setInspector(true)
    requestAnimationFrame(() => document.getElementById(`aspect-${to.what ?? 'slot'}`)?.focus())
  }, [])
  if (!draft || !lately) return null
  const memberName = member ? file?.name : undefined
  return (
    <main className="flex w-full flex-col gap-3 px-4 py-3">
      <h1 className="sr-only">{draft.name}</h1>
      <div className="flex flex-wrap items-center gap-3">
        <NameField name={draft.name} />
        <MemberPicker
          member={member}
          onChoose={setMember}
          isRunning={preview?.isRunning}
          error={fileError && !sample ? sayError(fileError) : undefined}
        />
        <TrackPicker draft={lately} track={track} laid={laid} onChoose={setTrack} onLay={setLaid} />
        <Tools hasInspector={hasInspector} onInspector={toggle} onHelp={help} onPublish={publish} />
      </div>
      <Notice />
      {hasFailed && (
        <p role="status" className="text-sm text-brick">
          The loads could not be worked out: those shown are older than the draft. The next change tries
          again.
        </p>
      )}
      <SetAside />
      <SeasonStrip draft={lately} seasons={seasons} current={chosen} onChoose={setWeek} onPut={put} />
      <div className={hasInspector ? 'grid gap-4 xl:grid-cols-[minmax(0,1fr)_25rem]' : ''}>
        <div className="min-w-0">
          <Dragging onPut={put}>
            <WeekSheet
              key={id}
              draft={draft}
              week={chosen}
              weeks={weeks}
              onWeek={setWeek}
              onTry={onTry}
              preview={preview}
              memberName={memberName}
              track={track}
              onSelect={setSelected}
              onInspect={inspect}
              runnerRef={runnerRef}
            />
          </Dragging>
        </div>
        {hasInspector && (
          <Inspector
            draft={lately}
            template={id}
            selected={selected}
            aspect={aspect}
            onAspect={setAspect}
            file={file ?? usual}
            preview={preview}
            memberName={memberName}
          />
        )}
      </div>
      <PublishDialog
        id={id}
        isOpen={dialog === 'publish'}
        isPublished={isPublished || hasPublished}
        onPublished={() => setPublished(true)}
        onClose={() => setDialog(null)}
      />
      <Toasts />
      <Palette
        isOpen={dialog === 'palette'}
        commands={[
          { label: 'Publish the template', run: publish },
          { label: 'Undo', keys: 'Ctrl + Z', run: () => dispatch(undo()) },
          { label: 'Redo', keys: 'Ctrl + Y', run: () => dispatch(redo()) },
          { label: 'Show or hide the inspector', keys: 'Ctrl + I', run: toggle },
          { label: 'Show the keyboard shortcuts', keys: '?', run: help },
        ]}
        onAct={(name) => runnerRef.current?.(name)}
        onClose={() => setDialog(null)}
      />
      <ShortcutsDialog isOpen={dialog === 'shortcuts'} onClose={() => setDialog(null)} />
    </main>
  )
}

function Notice() {
  const notice = useAppSelector(({ editor }) => editor.notice)
  const dispatch = useAppDispatch()
  if (!notice) return null
  return (
    <p role="alert" className="flex items-center justify-between rounded bg-acorn-wash px-3 py-2 text-acorn">
      {notice}
      <Button look="quiet" onClick={() => dispatch(dismissNotice())}>
        Dismiss
      </Button>
    </p>
  )
}

/** Keys that work wherever nothing is being typed. */
type Shortcuts = { help: () => void; palette: () => void; inspector: () => void }

function useShortcuts({ help, palette, inspector }: Shortcuts): void {
  const dispatch = useAppDispatch()
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isTyping =
        event.target instanceof HTMLTextAreaElement ||
        (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox')
      if (isTyping) return
      const key = event.key.toLowerCase()
      const command = event.ctrlKey || event.metaKey
      if (command && key === 'z' && !event.shiftKey) dispatch(undo())
      else if (command && (key === 'y' || (key === 'z' && event.shiftKey))) dispatch(redo())
      else if (command && key === 'i') inspector()
      else if (command && key === 'k') palette()
      else if (key === '?') help()
      else return
      event.preventDefault()
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [dispatch, help, palette, inspector])
}
