import { useCallback, useEffect, type RefObject } from 'react'
import { useAppDispatch } from '../../app/store.ts'
import { redo, undo } from './editorSlice.ts'
import { Palette } from './Palette.tsx'
import type { ActName } from './sheet/acts/index.ts'
import { ShortcutsDialog } from './ShortcutsDialog.tsx'

export type OpenDialog = 'shortcuts' | 'palette' | null

type Props = {
  /** Leads to the page for publishing. */
  onPublish: () => void
  open: OpenDialog
  onOpen: (dialog: OpenDialog) => void
  /** Shows the inspector, or hides it. */
  onInspector: () => void
  /** How to act on the cell under the keyboard. */
  runnerRef: RefObject<((name: ActName) => void) | null>
}

/** What opens over the workbench, with the keys that open it. */
export function Dialogs({ onPublish, open, onOpen, onInspector, runnerRef }: Props) {
  const dispatch = useAppDispatch()
  const help = useCallback(() => onOpen('shortcuts'), [onOpen])
  const palette = useCallback(() => onOpen('palette'), [onOpen])
  useShortcuts({ help, palette, inspector: onInspector })
  const close = () => onOpen(null)
  return (
    <>
      <Palette
        isOpen={open === 'palette'}
        commands={[
          { label: 'Publish the template', run: onPublish },
          { label: 'Undo', keys: 'Ctrl + Z', run: () => dispatch(undo()) },
          { label: 'Redo', keys: 'Ctrl + Y', run: () => dispatch(redo()) },
          { label: 'Show or hide the inspector', keys: 'Ctrl + I', run: onInspector },
          { label: 'Show the keyboard shortcuts', keys: '?', run: help },
        ]}
        onAct={(name) => runnerRef.current?.(name)}
        onClose={close}
      />
      <ShortcutsDialog isOpen={open === 'shortcuts'} onClose={close} />
    </>
  )
}

type Shortcuts = { help: () => void; palette: () => void; inspector: () => void }

/** Keys that work wherever nothing is being typed. */
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
