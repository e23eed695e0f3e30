import { shorthandExamples } from '@young-oak/core/template'
import { Modal } from '../../ui/Modal.tsx'
import { acts, type Act } from './sheet/acts/index.ts'

const shortcuts: [string, string][] = [
  ['Typing', 'replaces the cell; a whole line can be typed over any cell'],
  ['Tab', 'saves the cell and moves right'],
  ['Alt + N', 'while typing an unknown name: adds it to the gym’s own exercises'],
  ...acts.flatMap(({ shown, say }: Act): [string, string][] => (shown && say ? [[shown, say]] : [])),
  ['Ctrl + C, X, V', 'copy, cut and paste: cells, whole lines, and lines of a spreadsheet'],
  ['Ctrl + Z, Ctrl + Y', 'undo, redo; the clock button lists past edits'],
  ['Space on a load', 'how the load was worked out'],
  ['Ctrl + K', 'find a command by its name'],
  ['Ctrl + I', 'show or hide the inspector'],
  ['?', 'this list'],
]

const strip: [string, string][] = [
  ['Left, Right', 'the week before, the week after'],
  ['+, −', 'make the phase one week longer, shorter'],
  ['L', 'make the week a deload; on a deload, undo'],
  ['S', 'split the phase after this week'],
  ['R', 'repeat the phase after itself'],
  ['N', 'add a phase of four weeks after this one'],
  ['Alt + Left, Right', 'move the phase earlier, later'],
]

export function ShortcutsDialog({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Modal title="Keyboard" isOpen={isOpen} onClose={onClose}>
      <List rows={shortcuts} />
      <h3 className="mt-5 text-lg">On a week of the strip</h3>
      <List rows={strip} />
      <h3 className="mt-5 text-lg">What can be typed for sets</h3>
      <p className="text-sm text-bark">
        Sets × reps @ load, then RIR, rest and the others in any order; separate lines with semicolons. A bare
        percentage is of the training max if the template has one, else of the 1RM.
      </p>
      <List rows={shorthandExamples.map(({ typed, say }) => [typed, say])} />
    </Modal>
  )
}

function List({ rows }: { rows: [string, string][] }) {
  return (
    <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-sm">
      {rows.map(([keys, what]) => (
        <div key={keys} className="contents">
          <dt className="font-medium">{keys}</dt>
          <dd className="text-bark">{what}</dd>
        </div>
      ))}
    </dl>
  )
}
