import { useEffect, useRef, useState } from 'react'
import type { Remote } from 'comlink'
import type { MemberFile } from '@young-oak/api/members'
import type { Template } from '@young-oak/core/template'
import { today } from '../../../app/today.ts'
import { openPlanner, type PlannerLine } from '../../../workers/openPlanner.ts'
import type { Planner } from '../../../workers/planner.ts'
import { useLibrary } from '../../library/useLibrary.ts'

/** The draft, and whose loads it is planned with. */
export type Drafted = { draft: Template; template: string; file: MemberFile }

/**
 * What a worker of its own answers to a question about the draft; of several answers on the way the latest wins. `question` names everything that
 * `ask` asks with. Where the worker fails, another is asked once; then nothing until something changes.
 */
export function useAsked<T>(
  { draft, template, file }: Drafted,
  question: string,
  ask: (planner: Remote<Planner>) => Promise<T | null>,
): { seen: T | null; hasFailed: boolean } {
  const library = useLibrary()
  const [known, setKnown] = useState<{ seen: T | null; hasFailed: boolean }>({ seen: null, hasFailed: false })
  const line = useRef<PlannerLine | null>(null)
  const onFail = useRef<() => void>(() => undefined)
  const asked = useRef(0)
  useEffect(
    () => () => {
      asked.current += 1
      line.current?.end()
      line.current = null
    },
    [library, draft, template, file],
  )
  useEffect(() => {
    const mine = ++asked.current
    const open = () => {
      const made = openPlanner(() => onFail.current())
      void made.planner.openLibrary(library)
      void made.planner.openDraft(draft)
      void made.planner.openMember(file, template, today(), null)
      return made
    }
    const once = (more: number) => {
      const fail = () => {
        if (mine !== asked.current) return
        line.current?.end()
        line.current = null
        if (more) once(more - 1)
        else setKnown({ seen: null, hasFailed: true })
      }
      onFail.current = fail
      line.current ??= open()
      ask(line.current.planner).then((seen) => {
        if (mine === asked.current) setKnown({ seen, hasFailed: false })
      }, fail)
    }
    once(1)
    // What is asked is named by the question.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [library, draft, template, file, question])
  return known
}
