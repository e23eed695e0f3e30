// Short confirmations: what says them knows nothing of what shows them, which is loaded with the first.

type Said = { text: string; isError: boolean }
let waiting: Said[] = []
let show: ((said: Said) => void) | null = null
const listeners = new Set<() => void>()
let isAsked = false

function say(said: Said): void {
  if (show) return show(said)
  waiting.push(said)
  isAsked = true
  for (const listener of listeners) listener()
}

export const toast = (text: string): void => say({ text, isError: false })
toast.error = (text: string): void => say({ text, isError: true })

/** Whether anything was to be shown yet. */
export const asked = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener)
    return () => void listeners.delete(listener)
  },
  now: () => isAsked,
}

/** Shows what waits and what comes, until the returned function is called. */
export function showToasts(by: (said: Said) => void): () => void {
  show = by
  for (const said of waiting) by(said)
  waiting = []
  return () => {
    show = null
  }
}
