import { wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import type { Command, Template } from '@young-oak/core/template'
import { today } from '../../app/today.ts'
import { store } from '../../app/store.ts'
import type { Planner, Preview } from '../../workers/planner.worker.ts'

/**
 * The chosen member's plan of the draft, from a worker. The worker is sent the draft once and then only commands; of
 * several answers on the way, the latest wins.
 */
export function usePreview(template: string, file: MemberFile | undefined): Preview | null {
  const [preview, setPreview] = useState<Preview | null>(null)
  const asked = useRef(0)
  useEffect(() => {
    if (!file) return
    const worker = new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' })
    const planner: Remote<Planner> = wrap<Planner>(worker)
    let known = store.getState().editor
    const ask = async () => {
      const mine = ++asked.current
      const answer = await planner.plan(today())
      if (mine === asked.current) setPreview(answer)
    }
    const start = async () => {
      await planner.openDraft(known.draft as Template)
      await planner.openMember(file, template, today())
      await ask()
    }
    void start()
    const stop = store.subscribe(() => {
      const now = store.getState().editor
      if (now.draft === known.draft) return
      const command = newCommand(known, now)
      known = now
      if (!now.draft) return
      void (command ? planner.apply(command) : planner.openDraft(now.draft))
      void ask()
    })
    return () => {
      stop()
      worker.terminate()
      setPreview(null)
    }
  }, [template, file])
  return file ? preview : null
}

type Editor = ReturnType<typeof store.getState>['editor']

/** The one command that lies between two states of the editor, or null where the draft was loaded anew. */
function newCommand(before: Editor, after: Editor): Command | null {
  const last = after.waiting[after.waiting.length - 1]
  return last && last !== before.waiting[before.waiting.length - 1] ? last.command : null
}
