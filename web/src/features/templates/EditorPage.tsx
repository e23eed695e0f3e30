import { CircleHelp, Redo2, Undo2 } from 'lucide-react'
import { useEffect, useMemo, useState } from 'react'
import { useParams } from 'react-router'
import type { MemberFile } from '@young-oak/api/members'
import { liftName } from '@young-oak/core/library'
import { sampleMember, seasonOf, type Strength } from '@young-oak/core/plan'
import type { Command, Template } from '@young-oak/core/template'
import { api, sayError } from '../../app/api.ts'
import { useAppDispatch, useAppSelector } from '../../app/store.ts'
import { today } from '../../app/today.ts'
import { SeasonStrip } from '../../charts/SeasonStrip.tsx'
import { Button } from '../../ui/Button.tsx'
import { IconButton } from '../../ui/IconButton.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { closeDraft, dismissNotice, edit, openDraft, redo, undo } from './editorSlice.ts'
import { LoadSettings } from './LoadSettings.tsx'
import { LightWeeks } from './LightWeeks.tsx'
import { PublishDialog } from './PublishDialog.tsx'
import { RuleList } from './RuleList.tsx'
import { RulePreview } from './RulePreview.tsx'
import { ShortcutsDialog } from './ShortcutsDialog.tsx'
import { TrackList } from './TrackList.tsx'
import { useAutosave } from './useAutosave.ts'
import { usePreview } from './usePreview.ts'
import { WeekSheet } from './WeekSheet.tsx'

/** The workbench: the season above, the chosen week below, a member's loads beside every line. */
export default function EditorPage() {
  const { id = '' } = useParams()
  const { data, error, refetch } = api.useTemplateQuery(id, { refetchOnMountOrArgChange: true })
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (data && data.id === id) dispatch(openDraft({ id, draft: data.draft }))
    return () => void dispatch(closeDraft())
  }, [dispatch, id, data])
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
  if (!isOpen || !data) return <p className="p-6 text-bark">Loading …</p>
  return <Workbench id={id} isPublished={data.versions.length > 0} />
}

function Workbench({ id, isPublished }: { id: string; isPublished: boolean }) {
  const draft = useAppSelector(({ editor }) => editor.draft)
  const [week, setWeek] = useState(1)
  const [member, setMember] = useState('')
  const [dialog, setDialog] = useState<'publish' | 'shortcuts' | null>(null)
  const sample = useSample(draft, member)
  const { data: stored, error: fileError } = api.useMemberFileQuery(member, {
    skip: !member || sample !== null,
    refetchOnMountOrArgChange: true,
  })
  const file = sample ?? stored
  const [trial, setTrial] = useState<Command | null>(null)
  const [foreseen, setForeseen] = useState<string | null>(null)
  const [track, setTrack] = useState('')
  const [hasPublished, setPublished] = useState(false)
  const preview = usePreview(id, member ? file : undefined, trial, track || null)
  useAutosave(id)
  useShortcuts(() => setDialog('shortcuts'))
  const usual = useSample(draft, sampleId('strong')) as MemberFile
  const season = useMemo(() => (draft ? seasonOf(draft) : []), [draft])
  if (!draft) return null
  const chosen = Math.min(week, season.length)
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
        {member && <TrackPicker draft={draft} track={track} onChoose={setTrack} />}
        <div className="ml-auto flex items-center gap-1">
          <SaveState />
          <UndoButtons />
          <IconButton label="Keyboard shortcuts" onClick={() => setDialog('shortcuts')}>
            <CircleHelp size={18} />
          </IconButton>
          <Button onClick={() => setDialog('publish')}>Publish …</Button>
        </div>
      </div>
      <Notice />
      <SeasonStrip weeks={season} current={chosen} onChoose={setWeek} />
      <WeekSheet
        key={id}
        draft={draft}
        week={chosen}
        weeks={season.length}
        onWeek={setWeek}
        onTry={setTrial}
        preview={preview}
        memberName={member ? file?.name : undefined}
        onForesee={setForeseen}
      />
      {foreseen !== null && draft.slots[foreseen] && (
        <Modal title={liftName(draft.slots[foreseen])} isOpen isWide onClose={() => setForeseen(null)}>
          <RulePreview draft={draft} template={id} file={file ?? usual} trial={null} slots={[foreseen]} />
        </Modal>
      )}
      <LoadSettings draft={draft} />
      <RuleList draft={draft} template={id} file={file ?? usual} />
      <LightWeeks draft={draft} />
      <TrackList draft={draft} />
      <PublishDialog
        id={id}
        isOpen={dialog === 'publish'}
        isPublished={isPublished || hasPublished}
        onPublished={() => setPublished(true)}
        onClose={() => setDialog(null)}
      />
      <Toasts />
      <ShortcutsDialog isOpen={dialog === 'shortcuts'} onClose={() => setDialog(null)} />
    </main>
  )
}

const strengths: Strength[] = ['light', 'strong']
const sampleId = (strength: Strength): string => `sample:${strength}`
const sampleNames: Record<Strength, string> = {
  light: 'a light lifter, made up',
  strong: 'a strong lifter, made up',
}

/** Somebody made up with a max of every lift, so that loads and minutes can be seen before there is anybody. */
function useSample(draft: Template | null, member: string): MemberFile | null {
  const strength = strengths.find((one) => sampleId(one) === member)
  const lifts =
    draft && JSON.stringify(Object.values(draft.slots).map(({ exercise, variant }) => [exercise, variant]))
  return useMemo(() => {
    if (!strength || !draft) return null
    const made = sampleMember(draft, strength, today())
    return { name: sampleNames[strength], member: made, enrolments: [], versions: {}, templates: {} }
    // Made anew only where other lifts stand in the template: an edit of a cell changes nothing about the person.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [strength, lifts])
}

function NameField({ name }: { name: string }) {
  const dispatch = useAppDispatch()
  const [typed, setTyped] = useState(name)
  const [was, setWas] = useState(name)
  if (was !== name) {
    setWas(name)
    setTyped(name)
  }
  const save = () => {
    const to = typed.trim().slice(0, 120)
    if (to && to !== name) dispatch(edit({ do: 'setName', from: name, to }))
    else setTyped(name)
  }
  return (
    <input
      aria-label="Name of the template"
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={save}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      size={Math.max(typed.length, 12)}
      className="rounded border border-transparent bg-transparent px-1 font-serif text-2xl font-semibold hover:border-line focus:border-edge"
    />
  )
}

type PickerProps = { member: string; onChoose: (id: string) => void; isRunning?: boolean; error?: string }

function MemberPicker({ member, onChoose, isRunning, error }: PickerProps) {
  const { data } = api.useMembersQuery()
  const mine = data?.filter(({ isMine }) => isMine) ?? []
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <label className="flex items-center gap-2">
        Loads of
        <select
          value={member}
          onChange={(event) => onChoose(event.target.value)}
          className="min-h-9 rounded-md border border-edge bg-sheet px-2"
        >
          <option value="">nobody</option>
          {strengths.map((strength) => (
            <option key={strength} value={sampleId(strength)}>
              {sampleNames[strength]}
            </option>
          ))}
          {mine.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {member && error && <span className="text-brick">{error}</span>}
      {member && isRunning === true && (
        <span className="text-bark" title="Weeks that were trained stay as they were shown.">
          on this program
        </span>
      )}
      {member && !member.startsWith('sample:') && isRunning === false && (
        <span className="text-bark">not on it: as if starting today</span>
      )}
    </div>
  )
}

type TrackProps = { draft: Template; track: string; onChoose: (track: string) => void }

/** Tries a track on the chosen member. */
function TrackPicker({ draft, track, onChoose }: TrackProps) {
  const tracks = Object.entries(draft.tracks)
  if (!tracks.length) return null
  return (
    <label className="flex items-center gap-2 text-sm">
      Track
      <select
        value={track}
        onChange={(event) => onChoose(event.target.value)}
        className="min-h-9 rounded-md border border-edge bg-sheet px-2"
      >
        <option value="">their own</option>
        {tracks.map(([id, { name }]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}

function SaveState() {
  const waiting = useAppSelector(({ editor }) => editor.waiting.length)
  const isAway = useAppSelector(({ editor }) => editor.isAway)
  const said = !waiting ? 'Saved' : isAway ? 'Not saved yet: trying again' : 'Saving …'
  return (
    <span role="status" className={`px-2 text-sm ${isAway && waiting ? 'text-acorn' : 'text-bark'}`}>
      {said}
    </span>
  )
}

function UndoButtons() {
  const dispatch = useAppDispatch()
  const canUndo = useAppSelector(({ editor }) => editor.done.length > 0)
  const canRedo = useAppSelector(({ editor }) => editor.undone.length > 0)
  return (
    <>
      <IconButton label="Undo (Ctrl+Z)" disabled={!canUndo} onClick={() => dispatch(undo())}>
        <Undo2 size={18} />
      </IconButton>
      <IconButton label="Redo (Ctrl+Y)" disabled={!canRedo} onClick={() => dispatch(redo())}>
        <Redo2 size={18} />
      </IconButton>
    </>
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
function useShortcuts(onHelp: () => void): void {
  const dispatch = useAppDispatch()
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isTyping = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
      if (isTyping) return
      const key = event.key.toLowerCase()
      const command = event.ctrlKey || event.metaKey
      if (command && key === 'z' && !event.shiftKey) dispatch(undo())
      else if (command && (key === 'y' || (key === 'z' && event.shiftKey))) dispatch(redo())
      else if (key === '?') onHelp()
      else return
      event.preventDefault()
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [dispatch, onHelp])
}
