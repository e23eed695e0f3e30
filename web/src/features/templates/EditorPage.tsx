import './bringEditor.ts'
import { useCallback, useDeferredValue, useEffect, useRef, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { MemberFile } from '@young-oak/api/members'
import type { TemplateView } from '@young-oak/api/templates'
import { formatDay } from '@young-oak/core/units'
import { nominalWeeks, weekAt } from '@young-oak/core/template'
import { api, sayError } from '../../app/api.ts'
import { useAppDispatch, useAppSelector, useAppStore } from '../../app/store.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { Dialogs, type OpenDialog } from './Dialogs.tsx'
import { closeDraft, dismissNotice, openDraft } from './editorSlice.ts'
import { Inspector } from './inspector/Inspector.tsx'
import { useInspector } from './inspector/useInspector.ts'
import { keptEdits } from './keptEdits.ts'
import { MemberPicker, NameField, TrackPicker } from './Pickers.tsx'
import { sampleId, useSample } from './samples.ts'
import { SetAside } from './SetAside.tsx'
import type { ActName } from './sheet/acts/index.ts'
import { Dragging } from './sheet/Dragging.tsx'
import { WeekSheet } from './sheet/WeekSheet.tsx'
import { SeasonStrip } from './strip/SeasonStrip.tsx'
import { Tools } from './Tools.tsx'
import { useAnnounceEdits } from './useAnnounceEdits.ts'
import { useAutosave } from './useAutosave.ts'
import { useMemberFile } from './useMemberFile.ts'
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
    if (data && data.id === id && data.mayEdit && !data.isArchived) {
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
  if (data && (!data.mayEdit || data.isArchived)) return <Closed view={data} />
  if (!isOpen || !data) return <p className="p-6 text-bark">Loading…</p>
  return <Workbench id={id} seat={seat} />
}

/** A template that is another writer’s, or archived: what can be done with it all the same. */
function Closed({ view: { id, draft, author, isArchived, versions } }: { view: TemplateView }) {
  return (
    <main className="mx-auto w-full max-w-2xl px-4 py-8">
      <h1 className="text-3xl">{draft.name}</h1>
      <p className="my-3">
        {isArchived
          ? 'This template is archived. It can be brought back on the Templates page.'
          : `${author} and named writers edit this template. You may copy it, and publish its versions.`}
      </p>
      <ul className="mb-4 list-disc pl-5">
        {versions.map(({ number, note, publishedAt, members }) => (
          <li key={number}>
            Version {number}, {formatDay(publishedAt.slice(0, 10))}: {note || 'no note'} ({members}{' '}
            {members === 1 ? 'member' : 'members'})
          </li>
        ))}
      </ul>
      <p className="flex gap-4">
        <Link to="/templates" className="underline underline-offset-4">
          Templates
        </Link>
        {!isArchived && versions.length > 0 && (
          <Link to={`/templates/${id}/publish`} className="underline underline-offset-4">
            Publish version {versions[0]?.number} to more members
          </Link>
        )}
      </p>
    </main>
  )
}

type WorkbenchProps = { id: string; seat: string }

function Workbench({ id, seat }: WorkbenchProps) {
  const draft = useAppSelector(({ editor }) => editor.draft)
  // The strip and the inspector follow the sheet as soon as there is time: no key waits for them.
  const lately = useDeferredValue(draft)
  const [week, setWeek] = useState(1)
  const [dialog, setDialog] = useState<OpenDialog>(null)
  const { member, setMember, file, fault, memberName } = useMemberFile(lately)
  const [track, setTrack] = useState('')
  const [laid, setLaid] = useState<string[]>([])
  const { isOpen: hasInspector, toggle, inspect, ...inspector } = useInspector()
  useTitle(draft?.name ?? 'Template')
  useAnnounceEdits()
  useAutosave(id, seat)
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
  const runnerRef = useRef<((name: ActName) => void) | null>(null)
  const usual = useSample(lately, sampleId('strong')) as MemberFile
  const put = usePutOrSay()
  const publish = usePublishing(id)
  if (!draft || !lately) return null
  return (
    <main className="flex w-full flex-col gap-3 px-4 py-3">
      <h1 className="sr-only">{draft.name}</h1>
      <div className="flex flex-wrap items-center gap-3">
        <NameField name={draft.name} />
        <MemberPicker member={member} onChoose={setMember} isRunning={preview?.isRunning} error={fault} />
        <TrackPicker draft={lately} track={track} laid={laid} onChoose={setTrack} onLay={setLaid} />
        <Tools
          hasInspector={hasInspector}
          onInspector={toggle}
          onHelp={() => setDialog('shortcuts')}
          onPublish={publish}
        />
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
              onSelect={inspector.select}
              onInspect={inspect}
              runnerRef={runnerRef}
            />
          </Dragging>
        </div>
        {hasInspector && (
          <Inspector
            draft={lately}
            template={id}
            selected={inspector.selected}
            aspect={inspector.aspect}
            onAspect={inspector.choose}
            file={file ?? usual}
            preview={preview}
            memberName={memberName}
          />
        )}
      </div>
      <Toasts />
      <Dialogs
        onPublish={publish}
        open={dialog}
        onOpen={setDialog}
        onInspector={toggle}
        runnerRef={runnerRef}
      />
    </main>
  )
}

/** Leads to publishing as soon as the last edits are saved: what is published is what the server has. */
function usePublishing(id: string): () => void {
  const navigate = useNavigate()
  const waiting = useAppSelector(({ editor }) => editor.waiting.length)
  const [isLeaving, setLeaving] = useState(false)
  useEffect(() => {
    if (isLeaving && !waiting) void navigate(`/templates/${id}/publish`)
  }, [isLeaving, waiting, navigate, id])
  return useCallback(() => setLeaving(true), [])
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
