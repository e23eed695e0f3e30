import { useEffect, useRef, type RefObject } from 'react'
import type { SessionLog } from '@young-oak/core/member'
import type { PlannedSession } from '@young-oak/core/plan'

/** What has been done of a session: it changes with each start, set and end, and with nothing else. */
export const workOf = (open: SessionLog | undefined, closed: PlannedSession | undefined): string =>
  open
    ? `${open.id}: ${open.sets.map(({ id, rev }) => `${id}/${rev}`).join()}`
    : closed
      ? `done ${closed.position}`
      : ''

/** Puts the keyboard where the work goes on: on the set to do now, the end of the session, or what comes next. */
export function useWorkFocus(section: RefObject<HTMLElement | null>, work: string): void {
  const before = useRef(work)
  useEffect(() => {
    if (before.current === work) return
    before.current = work
    section.current?.querySelector<HTMLElement>('[data-work]')?.focus()
  }, [section, work])
}
