import { CircleHelp, Download, History, PanelRight, Redo2, Undo2 } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { memo, useDeferredValue } from 'react'
import { withOwnExercises } from '@young-oak/core/library'
import { store, useAppDispatch, useAppSelector } from '../../app/store.ts'
import { Button } from '../../ui/Button.tsx'
import { IconButton } from '../../ui/IconButton.tsx'
import { redo, undo } from './editorSlice.ts'

type ToolsProps = {
  hasInspector: boolean
  onInspector: () => void
  onHelp: () => void
  onPublish: () => void
}

/** What is done with the whole draft: take back, do again, hide the inspector, give out, publish. */
export const Tools = memo(function Tools({ hasInspector, onInspector, onHelp, onPublish }: ToolsProps) {
  return (
    <div className="ml-auto flex flex-wrap items-center gap-1">
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
      <Button onClick={onPublish}>Publish…</Button>
    </div>
  )
})

/** The draft as a template file with the gym's exercises that it names: it reads back as the same draft, anywhere. */
function download(): void {
  const { draft, library } = store.getState().editor
  if (!draft) return
  const url = URL.createObjectURL(
    new Blob([`${JSON.stringify(withOwnExercises(library, draft), null, 2)}\n`], {
      type: 'application/json',
    }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = `${draft.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`
  link.click()
  URL.revokeObjectURL(url)
}

function SaveState() {
  const waiting = useAppSelector(({ editor }) => editor.waiting.length)
  const isAway = useAppSelector(({ editor }) => editor.isAway)
  const said = !waiting ? 'Saved' : isAway ? 'Not saved yet: trying again' : 'Saving…'
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
