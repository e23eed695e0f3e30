import type { MemberFile } from '@young-oak/api/members'
import type { Library } from '@young-oak/core/library'
import type { Id } from '@young-oak/core/parsing'
import type { Command, Template } from '@young-oak/core/template'
import type { Day } from '@young-oak/core/units'
import type { PlannerLine } from '../../workers/openPlanner.ts'
import type { Preview } from '../../workers/planner.ts'
import type { Seasons } from '../../workers/seasons.ts'

/** What of the draft is to be seen: a member's loads in the week that is open, and the tracks that are laid over the strip. */
export type Asked = { file?: MemberFile; track: Id | null; phase: Id; phaseWeek: number; laid: Id[] }

/** Everything that a planner works from, as it stands now: one that is opened anew is sent it whole. */
export type Source = {
  template: string
  day: Day
  library: Library
  draft: Template
  asked: Asked
  trial: Command | null
}

type Shown = {
  preview(seen: Preview | null): void
  seasons(seen: Seasons): void
  /** Whether the last attempt failed: what is shown is older than the draft. */
  fault(is: boolean): void
}

/**
 * Keeps a planner at work. While it works nothing more is asked; then the latest is. Where it fails or its worker breaks, another is
 * opened and sent everything; if that fails too, it waits until something changes.
 */
export function plannerLink(open: (onCrash: () => void) => PlannerLine, now: () => Source, show: Shown) {
  let line: PlannerLine | null = null
  let round = 0
  let isBusy = false
  let isStale = false
  let failures = 0
  let isOver = false

  const fail = (mine: PlannerLine | null) => {
    if (isOver || mine === null || mine !== line) return
    mine.end()
    line = null
    isBusy = false
    round += 1
    failures += 1
    show.fault(true)
    if (failures < 2 || isStale) ask()
  }
  /** Sends something to the planner; what comes of it is seen when it is asked. */
  const send = (work: (planner: PlannerLine['planner']) => Promise<unknown>) => {
    const mine = line
    if (mine) work(mine.planner).catch(() => fail(mine))
  }
  const start = () => {
    const mine: PlannerLine = open(() => fail(mine))
    line = mine
    const { library, draft, asked, template, day } = now()
    // Sent at once, in this order, before anything that is asked.
    send((planner) =>
      Promise.all([
        planner.openLibrary(library),
        planner.openDraft(draft),
        planner.openMember(asked.file ?? null, template, day, asked.track),
      ]),
    )
    return mine
  }
  const run = async (mine: PlannerLine, own: number) => {
    const isMine = () => !isOver && round === own
    do {
      isStale = false
      const { day, trial, asked } = now()
      const seen = await mine.planner.see(day, trial, { phase: asked.phase, phaseWeek: asked.phaseWeek })
      if (!isMine()) return
      show.preview(seen)
      // The strip waits until the loads are there and nothing more was typed.
      if (isStale) continue
      const seasons = await mine.planner.seasons(day, asked.laid)
      if (!isMine()) return
      if (seasons) show.seasons(seasons)
    } while (isStale)
    failures = 0
    show.fault(false)
    isBusy = false
  }
  function ask(): void {
    if (isOver) return
    if (isBusy) return void (isStale = true)
    isBusy = true
    isStale = false
    const mine = line ?? start()
    run(mine, round).catch(() => fail(mine))
  }

  return {
    ask,
    library: () => send((planner) => planner.openLibrary(now().library)),
    /** The draft has changed by a command, or is another. */
    draft(made: Command | null): void {
      send((planner) => (made ? planner.apply(made) : planner.openDraft(now().draft)))
      ask()
    },
    member(): void {
      const { asked, template, day } = now()
      send((planner) => planner.openMember(asked.file ?? null, template, day, asked.track))
      ask()
    },
    end(): void {
      isOver = true
      line?.end()
    },
  }
}
