import { useCallback, useLayoutEffect, useRef } from 'react'
import type { LineActs } from './lineActs.ts'
import type { useSheet } from './useSheet.ts'

/** What a line does, as one function through all renderings, so that lines that did not change are not drawn anew. */
export function useLineActs(
  sheet: ReturnType<typeof useSheet>,
  onNewExercise: (name: string) => void,
): LineActs {
  const now = useRef({ sheet, onNewExercise })
  useLayoutEffect(() => {
    now.current = { sheet, onNewExercise }
  })
  return useCallback<LineActs>((act) => {
    const { goTo, see, seeAgain, leave, deselect } = now.current.sheet
    if (act.do === 'focus') goTo(act.at, act.selects)
    else if (act.do === 'open') {
      leave()
      deselect()
      goTo(act.at)
      requestAnimationFrame(() => now.current.sheet.open())
    } else if (act.do === 'type') see(act.text)
    else if (act.do === 'leave') leave()
    else if (act.do === 'seeAgain') seeAgain()
    else if (act.do === 'newExercise') now.current.onNewExercise(act.name)
    else if (act.do === 'deselect') deselect()
    else {
      deselect()
      goTo(act.at)
      requestAnimationFrame(() => now.current.sheet.act(act.act))
    }
  }, [])
}
