type Hear = (text: string) => void

let hear: Hear | null = null

/** Says to somebody who works by ear what was done and what comes next; it is shown elsewhere. */
export const announce: Hear = (text) => hear?.(text)

/** Where it is said: one place in the page. */
export function hearAnnouncements(to: Hear): () => void {
  hear = to
  return () => {
    if (hear === to) hear = null
  }
}
