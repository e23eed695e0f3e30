import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import { useRef, type ReactNode } from 'react'

type Props = {
  title: string
  about?: string
  isOpen: boolean
  /** Room for a table beside a form. */
  isWide?: boolean
  onClose: () => void
  children: ReactNode
}

/** A dialog that gives the keyboard back to where it was, also when a key and no button opened it. */
export function Modal({ title, about, isOpen, isWide = false, onClose, children }: Props) {
  const before = useRef<Element | null>(null)
  return (
    <Dialog.Root open={isOpen} onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-shade/50" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={() => (before.current = document.activeElement)}
          onCloseAutoFocus={(event) => {
            event.preventDefault()
            if (before.current instanceof HTMLElement) before.current.focus()
          }}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[90dvh] ${isWide ? 'w-[min(74rem,96vw)]' : 'w-[min(36rem,94vw)]'} -translate-1/2 overflow-y-auto rounded-lg border border-line bg-sheet p-5 text-ink`}
        >
          <Dialog.Title className="pr-12 font-serif text-xl font-semibold">{title}</Dialog.Title>
          {about && <p className="mt-1 text-sm text-bark">{about}</p>}
          <div className="mt-4">{children}</div>
          {/* No tooltip here: Escape would close that first. */}
          <Dialog.Close
            aria-label="Close"
            className="absolute top-3 right-3 grid size-11 place-items-center rounded-md text-bark hover:bg-leaf-wash hover:text-ink"
          >
            <X size={18} />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
