import { shorthandExamples } from '@young-oak/core/template'
import { Modal } from '../../ui/Modal.tsx'
import { sheetKeys } from './sheet/sheetKeys.ts'

const shortcuts: [string, string][] = [
  ['Typing', 'replaces what stands in the cell; a whole line may be typed over any cell'],
  ['Tab', 'keeps it and goes right'],
  ['Alt + N', 'while typing a name that no exercise has: adds it to the gym’s own'],
  ...sheetKeys.flatMap((one): [string, string][] => ('say' in one ? [[one.shown, one.say]] : [])),
  ['Ctrl + C, X, V', 'copy, cut and paste: cells, whole lines, and lines of a spreadsheet'],
  ['Ctrl + Z, Ctrl + Y', 'undo, redo; the clock beside them lists what was done'],
  ['Space on a load', 'why it is what it is'],
  ['Ctrl + I', 'the inspector, or more room'],
  ['?', 'this list'],
]

const strip: [string, string][] = [
  ['Left, Right', 'the week before, the week after'],
  ['+, −', 'its phase one week longer, shorter'],
  ['L', 'make the week a deload; on a deload, undo'],
  ['S', 'split the phase after this week'],
  ['R', 'repeat the phase behind itself'],
  ['N', 'a new phase of four weeks behind it'],
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
        Sets × reps @ load, then reserve, rest and the others in any order; several lines parted by
        semicolons. A bare percent is of the training max where the template states one, else of the 1RM.
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
