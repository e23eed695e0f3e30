import { Toaster } from 'sonner'

/** Where short confirmations appear. It stands on the pages that give some, so that the others need not load it. */
export const Toasts = () => (
  <Toaster
    position="bottom-center"
    toastOptions={{ className: '!bg-ink !text-paper !border-0 !font-sans' }}
  />
)
