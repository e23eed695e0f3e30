import { wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import type { Command, Template } from '@young-oak/core/template'
import { today } from '../../app/today.ts'
import { store } from '../../app/store.ts'
import type { Planner, Preview } from '../../workers/planner.worker.ts'

/**
 * The chosen member's plan of the draft, from a worker. The worker is sent the draft once and then only commands: those
 * that are kept, and the one that is being typed. Of several answers on the way, the latest wins.
 */
export function usePreview(
  template: string,
  file: MemberFile | undefined,
  trial: Command | null,
  track: string | null,
): Preview | null {
  const [preview, setPreview] = useState<Preview | null>(null)
  const ask = useRef<((trial: Command | null) => void) | null>(null)
  useEffect(() => {
    if (!file) return
    const worker = new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' })
    const planner: Remote<Planner> = wrap<Planner>(worker)
    let known = store.getState().editor
    let asked = 0
    const askNow = async (typed: Command | null) => {
      const mine = ++asked
      const answer = await planner.plan(today(), typed)
      if (mine === asked) setPreview(answer)
    }
    ask.current = (typed) => void askNow(typed)
    void planner.openDraft(known.draft as Template)
    void planner.openMember(file, template, today(), track)
    void askNow(null)
    const stop = store.subscribe(() => {
      const now = store.getState().editor
      if (now.draft === known.draft) return
      const command = now.made
      known = now
      if (!now.draft) return
      void (command ? planner.apply(command) : planner.openDraft(now.draft))
      void askNow(null)
    })
    return () => {
      stop()
      ask.current = null
      worker.terminate()
      setPreview(null)
    }
  }, [template, file, track])
  useEffect(() => ask.current?.(trial), [trial])
  return file ? preview : null
}
