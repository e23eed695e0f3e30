import { useEffect } from 'react'
import { toast, Toaster } from 'sonner'
import { showToasts } from './toast.ts'

export default function ShownToasts() {
  useEffect(() => showToasts(({ text, isError }) => void (isError ? toast.error(text) : toast(text))), [])
  return (
    <Toaster
      position="bottom-center"
      toastOptions={{ className: '!bg-ink !text-paper !border-0 !font-sans' }}
    />
  )
}
