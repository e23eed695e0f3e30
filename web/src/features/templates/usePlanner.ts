import { wrap, type Remote } from 'comlink'
import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import type { Id } from '@young-oak/core/parsing'
import type { Command, Template } from '@young-oak/core/template'
import { today } from '../../app/today.ts'
import { store } from '../../app/store.ts'
import { keepSame } from './keepSame.ts'
import type { Planner, Preview, Seasons } from '../../workers/planner.worker.ts'

/** What of the draft is to be seen: a member's loads in the week that is open, and the tracks that are laid over the strip. */
export type Asked = { file?: MemberFile; track: Id | null; phase: Id; phaseWeek: number; laid: Id[] }

type Known = { preview: Preview | null; seasons: Seasons | null }

/**
 * The draft as it comes out, from a worker: the chosen member's loads in one week, and the weeks as the strip draws them. The worker is
 * sent the draft once and then only commands: those that are kept, and the one that is being typed. While it works nothing more is
 * asked; then the latest is.
 */
export function usePlanner(
  template: string,
  asked: Asked,
): Known & { onTry: (trial: Command | null) => void } {
  const [known, setKnown] = useState<Known>({ preview: null, seasons: null })
  const wanted = useRef(asked)
  const trial = useRef<Command | null>(null)
  const ask = useRef<() => void>(() => undefined)
  const member = useRef<(asked: Asked) => void>(() => undefined)
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' })
    const planner: Remote<Planner> = wrap<Planner>(worker)
    let isOpen = true
    let isBusy = false
    let isStale = false
    ask.current = () => {
      if (isBusy) isStale = true
      else void run()
    }
    const run = async () => {
      isBusy = true
      do {
        isStale = false
        const { phase, phaseWeek, laid } = wanted.current
        const seen = await planner.see(today(), trial.current, { phase, phaseWeek })
        if (!isOpen) return
        show(seen)
        // The strip waits until the loads are there and nothing more was typed.
        if (isStale) continue
        const seasons = await planner.seasons(today(), laid)
        if (isOpen && seasons) startTransition(() => setKnown((was) => ({ ...was, seasons })))
      } while (isOpen && isStale)
      isBusy = false
    }
    const show = (seen: Preview | null) =>
      startTransition(() =>
        setKnown((was) => ({
          ...was,
          preview: seen && { ...seen, weeks: keepSame(was.preview?.weeks ?? [], seen.weeks) },
        })),
      )
    member.current = ({ file, track }) => {
      void planner.openMember(file ?? null, template, today(), track)
      ask.current()
    }
    let { editor, library } = store.getState()
    void planner.openLibrary(library.exercises)
    void planner.openDraft(editor.draft as Template)
    member.current(wanted.current)
    const stop = store.subscribe(() => {
      const { editor: now, library: read } = store.getState()
      if (read !== library) {
        library = read
        void planner.openLibrary(library.exercises)
      }
      if (now.draft === editor.draft) return
      editor = now
      if (!now.draft) return
      void (now.made ? planner.apply(now.made) : planner.openDraft(now.draft))
      ask.current()
    })
    return () => {
      isOpen = false
      stop()
      worker.terminate()
    }
  }, [template])
  const { file, track, phase, phaseWeek, laid } = asked
  const lies = laid.join()
  useEffect(() => {
    wanted.current = { ...wanted.current, file, track }
    member.current(wanted.current)
  }, [file, track])
  useEffect(() => {
    wanted.current = { ...wanted.current, phase, phaseWeek, laid: lies ? lies.split(',') : [] }
    ask.current()
  }, [phase, phaseWeek, lies])
  const onTry = useCallback((command: Command | null) => {
    if (trial.current === command) return
    trial.current = command
    ask.current()
  }, [])
  return { preview: file ? known.preview : null, seasons: known.seasons, onTry }
}
