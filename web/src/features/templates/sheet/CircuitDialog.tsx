import { useLibrary } from '../../library/useLibrary.ts'
import type { Template } from '@young-oak/core/template'
import { makeCircuit, type Built } from '@young-oak/core/editing'
import { liftName } from '@young-oak/core/library'
import type { Id } from '@young-oak/core/parsing'
import { Modal } from '../../../ui/Modal.tsx'
import { CircuitForm } from '../CircuitForm.tsx'
import { mint } from '../mint.ts'

type Props = { draft: Template; slots: Id[]; onPut: (built: Built) => boolean; onClose: () => void }

/** Marked lines as one scored thing. */
export function CircuitDialog({ draft, slots, onPut, onClose }: Props) {
  const library = useLibrary()
  const names = slots.flatMap((id) => (draft.slots[id] ? [liftName(library, draft.slots[id])] : []))
  return (
    <Modal
      title="One circuit of these lines"
      about={`${names.join(', ')}, one round after the other.`}
      isOpen
      onClose={onClose}
    >
      <CircuitForm
        submit="Make it"
        onSave={(circuit) => onPut(makeCircuit(library, draft, slots, circuit, mint)) && onClose()}
      />
    </Modal>
  )
}
