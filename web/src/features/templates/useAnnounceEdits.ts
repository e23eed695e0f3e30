import { useEffect, useRef } from 'react'
import { useAppSelector } from '../../app/store.ts'
import { announce } from '../../ui/announce.ts'

/** Says each step by its name as it is done, undone or redone. */
export function useAnnounceEdits(): void {
  const done = useAppSelector(({ editor }) => editor.done)
  const undone = useAppSelector(({ editor }) => editor.undone)
  const before = useRef({ done, undone })
  useEffect(() => {
    const was = before.current
    before.current = { done, undone }
    const [last, next] = [done[done.length - 1], undone[undone.length - 1]]
    const redoes = was.undone[was.undone.length - 1]
    if (undone.length > was.undone.length && next) announce(`Undone: ${next.name}`)
    else if (last && last !== was.done[was.done.length - 1])
      announce(
        undone.length === was.undone.length - 1 && redoes?.name === last.name
          ? `Redone: ${last.name}`
          : last.name,
      )
  }, [done, undone])
}
