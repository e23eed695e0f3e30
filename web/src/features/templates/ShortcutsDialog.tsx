import { Modal } from '../../ui/Modal.tsx'

const shortcuts: [string, string][] = [
  ['Arrow keys', 'move from cell to cell'],
  ['Enter or F2', 'change the cell; Enter again keeps it and goes down'],
  ['Typing', 'replaces what stands in the cell'],
  ['Tab', 'keeps it and goes right'],
  ['Shift + Enter', 'keeps it and fills it into the later weeks of the phase'],
  ['Escape', 'leaves the cell as it was'],
  ['Delete', 'empties reps in reserve or rest'],
  ['Ctrl + C, Ctrl + V', 'copy a cell, put it into another'],
  ['Ctrl + Z, Ctrl + Y', 'undo, redo'],
  ['Shift + Tab', 'the slot’s menu: change the exercise, add a slot, remove it'],
  ['Page Up, Page Down', 'the week before, the week after'],
  ['Space on a load', 'why it is what it is'],
  ['?', 'this list'],
]

const typing: [string, string][] = [
  ['5', 'five sets, or five reps'],
  ['8-10', 'a range of reps'],
  ['5+', 'as many good reps as possible in the last set, at least five'],
  ['75', '75% of what the cell is based on now'],
  ['75% TM, 75% 1RM', 'of the training max, of the 1RM'],
  ['rule, 80% rule', 'the progression’s load, or a part of it'],
  ['free, none', 'the member’s choice, nothing lifted'],
  ['90, 1:30, 3 min', 'rest'],
]

export function ShortcutsDialog({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Modal title="Keyboard" isOpen={isOpen} onClose={onClose}>
      <List rows={shortcuts} />
      <h3 className="mt-5 text-lg">What cells take</h3>
      <List rows={typing} />
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
