import type { Pasted } from '@young-oak/core/editing'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'

/** What of a paste was not understood, line by line as it came, ready to be copied back and mended. */
export function PasteFaults({ pasted, onClose }: { pasted: Pasted; onClose: () => void }) {
  const { lines, faults, unread = [] } = pasted
  return (
    <Modal
      title={titleOf(pasted)}
      about={`${lines} pasted; one undo removes them.${faults.length ? ' The other lines are listed here unchanged.' : ''}`}
      isOpen
      onClose={onClose}
    >
      {unread.length > 0 && (
        <p className="mb-2 text-sm">Columns that are not used here were left out: {unread.join(', ')}.</p>
      )}
      <ul className="max-h-80 divide-y divide-line overflow-y-auto text-sm">
        {faults.map(({ line, text, fault }) => (
          <li key={`${line}/${text}`} className="py-2">
            <p>
              <span className="mr-2 text-bark">{line}</span>
              <span className="font-medium break-words">{text}</span>
            </p>
            <p className="text-brick">{fault}</p>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex gap-3">
        {faults.length > 0 && (
          <Button
            onClick={() =>
              void navigator.clipboard.writeText(faults.map(({ text }) => text).join('\n')).then(onClose)
            }
          >
            Copy lines and close
          </Button>
        )}
        <Button look="plain" onClick={onClose}>
          Close
        </Button>
      </div>
    </Modal>
  )
}

function titleOf({ faults, unread = [] }: Pasted): string {
  if (!faults.length)
    return `${unread.length} ${unread.length === 1 ? 'column was' : 'columns were'} left out`
  return `${faults.length} ${faults.length === 1 ? 'line was' : 'lines were'} not understood`
}
