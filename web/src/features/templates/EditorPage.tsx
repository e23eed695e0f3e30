import { CircleHelp, Download, History, PanelRight, Redo2, Undo2 } from 'lucide-react'
import { DropdownMenu, Popover } from 'radix-ui'
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react'
import { useParams } from 'react-router'
import { toast } from 'sonner'
import type { MemberFile } from '@young-oak/api/members'
import { isFault, type Built } from '@young-oak/core/building'
import { sampleMember, type Strength } from '@young-oak/core/plan'
import { formatIssue } from '@young-oak/core/reading'
import { checkCommand, nominalWeeks, type Template } from '@young-oak/core/template'
import { api, sayError } from '../../app/api.ts'
import { store, useAppDispatch, useAppSelector } from '../../app/store.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { IconButton } from '../../ui/IconButton.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { closeDraft, dismissNotice, edit, openDraft, redo, undo } from './editorSlice.ts'
import { Inspector } from './inspector/Inspector.tsx'
import type { Aspect, Selected } from './inspector/selected.ts'
import { keptEdits } from './keptEdits.ts'
import { PublishDialog } from './PublishDialog.tsx'
import { SetAside } from './SetAside.tsx'
import { Dragging } from './sheet/Dragging.tsx'
import { WeekSheet } from './sheet/WeekSheet.tsx'
import { ShortcutsDialog } from './ShortcutsDialog.tsx'
import { SeasonStrip } from './strip/SeasonStrip.tsx'
import { useAutosave } from './useAutosave.ts'
import { usePlanner } from './usePlanner.ts'

/** The workbench: the season above, the chosen week below, a member's loads beside every line. */
export default function EditorPage() {
  const { id = '' } = useParams()
  const { data, error, refetch } = api.useTemplateQuery(id, { refetchOnMountOrArgChange: true })
  const { data: session } = api.useSessionQuery()
  const seat = session?.seat?.id ?? ''
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (data && data.id === id)
      dispatch(openDraft({ id, revision: data.revision, draft: data.draft, waiting: keptEdits(seat, id) }))
    return () => void dispatch(closeDraft())
  }, [dispatch, id, data, seat])
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
  return <Workbench id={id} seat={seat} isPublished={data.versions.length > 0} />
}

function Workbench({ id, seat, isPublished }: { id: string; seat: string; isPublished: boolean }) {
  const draft = useAppSelector(({ editor }) => editor.draft)
  // The strip and the inspector follow the sheet as soon as there is time: no key waits for them.
  const lately = useDeferredValue(draft)
  const [week, setWeek] = useState(1)
  const [member, setMember] = useState('')
  const [dialog, setDialog] = useState<'publish' | 'shortcuts' | null>(null)
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
  const weeks = draft?.phases.reduce((sum, phase) => sum + nominalWeeks(phase), 0) ?? 0
  const chosen = Math.max(1, Math.min(week, weeks))
  const at = draft ? weekAt(draft, chosen) : { phase: '', phaseWeek: 1 }
  const { preview, seasons, onTry } = usePlanner(id, {
    file: member ? file : undefined,
    track: track || null,
    ...at,
    laid,
  })
  useAutosave(id, seat)
  const help = useCallback(() => setDialog('shortcuts'), [])
  const toggle = useCallback(() => setInspector((is) => !is), [])
  const publish = useCallback(() => setDialog('publish'), [])
  useShortcuts({ help, inspector: toggle })
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
      <SetAside />
      <SeasonStrip draft={lately} seasons={seasons} current={chosen} onChoose={setWeek} onPut={put} />
      <div className={hasInspector ? 'grid gap-4 xl:grid-cols-[minmax(0,1fr)_23rem]' : ''}>
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
      <ShortcutsDialog isOpen={dialog === 'shortcuts'} onClose={() => setDialog(null)} />
    </main>
  )
}

type ToolsProps = {
  hasInspector: boolean
  onInspector: () => void
  onHelp: () => void
  onPublish: () => void
}

const Tools = memo(function Tools({ hasInspector, onInspector, onHelp, onPublish }: ToolsProps) {
  return (
    <div className="ml-auto flex items-center gap-1">
      <SaveState />
      <UndoButtons />
      <IconButton label="Inspector (Ctrl+I)" aria-pressed={hasInspector} onClick={onInspector}>
        <PanelRight size={18} />
      </IconButton>
      <IconButton label="Download as a file" onClick={download}>
        <Download size={18} />
      </IconButton>
      <IconButton label="Keyboard shortcuts" onClick={onHelp}>
        <CircleHelp size={18} />
      </IconButton>
      <Button onClick={onPublish}>Publish …</Button>
    </div>
  )
})

/** The draft as a template file, which reads back as the same draft. */
function download(): void {
  const { draft } = store.getState().editor
  if (!draft) return
  const url = URL.createObjectURL(
    new Blob([`${JSON.stringify(draft, null, 2)}\n`], { type: 'application/json' }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = `${draft.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`
  link.click()
  URL.revokeObjectURL(url)
}

/** Does a step of the strip, or says why it cannot be done. */
function usePutOrSay(): (built: Built) => boolean {
  const dispatch = useAppDispatch()
  return useCallback(
    (built) => {
      const { draft } = store.getState().editor
      const fault = isFault(built) ? built.fault : draft && checkCommand(draft, built).map(formatIssue)[0]
      if (fault || isFault(built)) {
        toast(fault)
        return false
      }
      dispatch(edit(built))
      return true
    },
    [dispatch],
  )
}

/** The phase that a week of the template lies in, and which of its weeks it is. */
function weekAt({ phases }: Template, week: number): { phase: string; phaseWeek: number } {
  let before = 0
  for (const phase of phases) {
    const count = nominalWeeks(phase)
    if (week <= before + count) return { phase: phase.id, phaseWeek: week - before }
    before += count
  }
  return { phase: '', phaseWeek: 1 }
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

const MemberPicker = memo(function MemberPicker({ member, onChoose, isRunning, error }: PickerProps) {
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
})

type TrackProps = {
  draft: Template
  track: string
  laid: string[]
  onChoose: (track: string) => void
  onLay: (tracks: string[]) => void
}

/** A track whose differences are marked in the sheet, and tried on the chosen member; and those that are laid over the strip. */
const TrackPicker = memo(function TrackPicker({ draft, track, laid, onChoose, onLay }: TrackProps) {
  const tracks = Object.entries(draft.tracks)
  if (!tracks.length) return null
  return (
    <div className="flex flex-wrap items-center gap-3 text-sm">
      <label className="flex items-center gap-2">
        Track
        <select
          value={track}
          onChange={(event) => onChoose(event.target.value)}
          className="min-h-9 rounded-md border border-edge bg-sheet px-2"
        >
          <option value="">as written</option>
          {tracks.map(([id, { name }]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <Popover.Root>
        <Popover.Trigger className="min-h-9 underline underline-offset-4 hover:text-leaf">
          Laid over the strip{laid.length > 0 && `: ${laid.length}`}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={4}
            aria-label="Tracks laid over the strip"
            className="z-50 rounded-md border border-edge bg-sheet p-3 text-sm text-ink"
          >
            {tracks.map(([id, { name }]) => (
              <label key={id} className="flex min-h-8 items-center gap-2">
                <input
                  type="checkbox"
                  className="accent-leaf"
                  checked={laid.includes(id)}
                  onChange={(event) =>
                    onLay(event.target.checked ? [...laid, id] : laid.filter((one) => one !== id))
                  }
                />
                {name}
              </label>
            ))}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  )
})

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

/** The newest step by its name, and those before it in a list: choosing one takes back all from it on. */
function UndoButtons() {
  const dispatch = useAppDispatch()
  const done = useDeferredValue(useAppSelector(({ editor }) => editor.done))
  const undone = useDeferredValue(useAppSelector(({ editor }) => editor.undone))
  const [last, next] = [done[done.length - 1], undone[undone.length - 1]]
  const steps = done.slice(-15).reverse()
  return (
    <>
      <IconButton
        label={last ? `Undo (Ctrl+Z): ${last.name}` : 'Undo (Ctrl+Z)'}
        disabled={!last}
        onClick={() => dispatch(undo())}
      >
        <Undo2 size={18} />
      </IconButton>
      <IconButton
        label={next ? `Redo (Ctrl+Y): ${next.name}` : 'Redo (Ctrl+Y)'}
        disabled={!next}
        onClick={() => dispatch(redo())}
      >
        <Redo2 size={18} />
      </IconButton>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <IconButton label="What was done" disabled={!last}>
            <History size={18} />
          </IconButton>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="z-50 max-w-[26rem] rounded-md border border-edge bg-sheet p-1 text-sm text-ink shadow">
            <DropdownMenu.Label className="px-3 py-1 text-bark">
              Take back, down to and with
            </DropdownMenu.Label>
            {steps.map(({ name }, i) => (
              <DropdownMenu.Item
                key={done.length - i}
                onSelect={() => {
                  for (let n = 0; n <= i; n++) dispatch(undo())
                }}
                className="cursor-pointer truncate rounded px-3 py-1.5 data-highlighted:bg-leaf-wash"
              >
                {name}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
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
function useShortcuts({ help, inspector }: { help: () => void; inspector: () => void }): void {
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
      else if (key === '?') help()
      else return
      event.preventDefault()
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [dispatch, help, inspector])
}
