import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { Command, Template } from '@young-oak/core/template'
import { today } from '../../app/today.ts'
import { store } from '../../app/store.ts'
import { openPlanner } from '../../workers/openPlanner.ts'
import type { Preview } from '../../workers/planner.ts'
import type { Seasons } from '../../workers/seasons.ts'
import { keepSame } from './keepSame.ts'
import { plannerLink, type Asked } from './plannerLink.ts'

type Known = { preview: Preview | null; seasons: Seasons | null; hasFailed: boolean }

/**
 * The draft as it comes out, from a worker: the chosen member's loads in one week, and the weeks as the strip draws them. The worker is
 * sent the draft once and then only commands: those that are kept, and the one that is being typed.
 */
export function usePlanner(
  template: string,
  asked: Asked,
): Known & { onTry: (trial: Command | null) => void } {
  const [known, setKnown] = useState<Known>({ preview: null, seasons: null, hasFailed: false })
  const wanted = useRef(asked)
  const trial = useRef<Command | null>(null)
  const link = useRef<ReturnType<typeof plannerLink> | null>(null)
  useEffect(() => {
    const put = (change: (was: Known) => Partial<Known>) =>
      startTransition(() => setKnown((was) => ({ ...was, ...change(was) })))
    let { editor, library } = store.getState()
    let draft = editor.draft as Template
    const now = () => ({
      template,
      day: today(),
      library: library.exercises,
      draft,
      asked: wanted.current,
      trial: trial.current,
    })
    const own = plannerLink(openPlanner, now, {
      preview: (seen) =>
        put((was) => ({
          preview: seen && { ...seen, weeks: keepSame(was.preview?.weeks ?? [], seen.weeks) },
        })),
      seasons: (seasons) => put(() => ({ seasons })),
      fault: (hasFailed) => setKnown((was) => (was.hasFailed === hasFailed ? was : { ...was, hasFailed })),
    })
    link.current = own
    own.ask()
    const stop = store.subscribe(() => {
      const { editor: next, library: read } = store.getState()
      if (read !== library) {
        library = read
        own.library()
      }
      if (next.draft === editor.draft) return
      editor = next
      if (!next.draft) return
      draft = next.draft
      own.draft(next.made)
    })
    return () => {
      link.current = null
      stop()
      own.end()
    }
  }, [template])
  const { file, track, phase, phaseWeek, laid } = asked
  const lies = laid.join()
  useEffect(() => {
    wanted.current = { ...wanted.current, file, track }
    link.current?.member()
  }, [file, track])
  useEffect(() => {
    wanted.current = { ...wanted.current, phase, phaseWeek, laid: lies ? lies.split(',') : [] }
    link.current?.ask()
  }, [phase, phaseWeek, lies])
  const onTry = useCallback((command: Command | null) => {
    if (trial.current === command) return
    trial.current = command
    link.current?.ask()
  }, [])
  return { ...known, preview: file ? known.preview : null, onTry }
}
