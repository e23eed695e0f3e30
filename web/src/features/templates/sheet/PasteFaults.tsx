import type { Pasted } from '@young-oak/core/building'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'

/** What of a paste was not understood, line by line as it came, ready to be copied back and mended. */
export function PasteFaults({ pasted, onClose }: { pasted: Pasted; onClose: () => void }) {
  const { lines, faults } = pasted
  return (
    <Modal
      title={`${faults.length} ${faults.length === 1 ? 'line was' : 'lines were'} not understood`}
      about={`${lines} went in, and one undo takes them back. The others stand here as they came.`}
      isOpen
      onClose={onClose}
    >
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
        <Button
          onClick={() =>
            void navigator.clipboard.writeText(faults.map(({ text }) => text).join('\n')).then(onClose)
          }
        >
          Copy them and close
        </Button>
        <Button look="plain" onClick={onClose}>
          Close
        </Button>
      </div>
    </Modal>
  )
}
