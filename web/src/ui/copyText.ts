import { toast } from './toast.ts'

/** Puts a text on the clipboard, and says so. */
export const copyText = (text: string): void =>
  void navigator.clipboard.writeText(text).then(
    () => toast('Copied.'),
    () => toast.error('This browser does not let the page copy. Select the link and copy it.'),
  )
