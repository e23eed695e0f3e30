import { useLibrary } from '../library/useLibrary.ts'
import { useMemo, useState } from 'react'
import { loadingAt, type Evidence } from '@young-oak/core/evidence'
import { exerciseOf, type Library } from '@young-oak/core/library'
import type { SessionLog } from '@young-oak/core/member'
import { followToday, type PlannedSession, type PlannedSlot } from '@young-oak/core/plan'
import { record } from '../../offline/useOutbox.ts'
import { Button } from '../../ui/Button.tsx'
import { askedSets, type AskedSet } from './askedSets.ts'
import { recordSet } from './recordSet.ts'
import { StillSore } from './SessionQuestions.tsx'
import { RestTimer } from './RestTimer.tsx'
import type { Result } from './setDraft.ts'
import { SlotCard } from './SlotCard.tsx'

type Props = { session: PlannedSession; log: SessionLog; evidence: Evidence }

/** The session as a list to walk down: the current set large, the others in a line each. */
export function OpenSession({ session: asShown, log, evidence }: Props) {
  const library = useLibrary()
  const session = useMemo(
    () => followLogged(library, asShown, log, evidence),
    [library, asShown, log, evidence],
  )
  const [chosen, choose] = useState<string | null>(null)
  const [rest, setRest] = useState<{ from: number; seconds: number } | null>(null)
  const setOf = (slot: PlannedSlot, n: number) =>
    log.sets.find((set) => set.slot === slot.slot && set.n === n)
  const isDone = (slot: PlannedSlot) => askedSets(slot).every(({ n }) => setOf(slot, n))
  const current =
    session.slots.find(({ slot }) => slot === chosen) ?? session.slots.find((slot) => !isDone(slot))
  const allDone = session.slots.every(isDone)
  const noted = log.sets.length

  const logSet = (slot: PlannedSlot, asked: AskedSet, result: Result) => {
    recordSet(log, slot, asked, result)
    choose(null)
    setRest(asked.group.rest ? startRest(asked.group.rest) : null)
  }

  return (
    <article className="mt-6">
      <h1 className="text-3xl">{session.name}</h1>
      {session.slots.length === 0 && <p className="mt-3 text-bark">Rest day: nothing to train.</p>}
      {session.slots.length > 0 && <StillSore session={session} log={log} />}
      <ol className="mt-3 divide-y divide-line">
        {session.slots.map((slot) => (
          <SlotCard
            key={slot.slot}
            slot={slot}
            sets={log.sets.filter((set) => set.slot === slot.slot)}
            isCurrent={slot === current}
            onOpen={() => choose(slot.slot)}
            onLog={(asked, result) => logSet(slot, asked, result)}
            can={canFind(library, slot) ? loadingAt(library, evidence, log.location, slot).here : undefined}
          />
        ))}
      </ol>
      {rest && !allDone && <RestTimer key={rest.from} from={rest.from} seconds={rest.seconds} />}
      <Button
        size="thumb"
        look={allDone ? 'main' : 'plain'}
        className="mt-6 w-full"
        onClick={() => {
          const left = session.slots.flatMap((slot) =>
            askedSets(slot).filter(({ n }) => !setOf(slot, n)),
          ).length
          if (
            left &&
            !confirm(
              noted
                ? `${left} sets are not logged. Finish anyway?`
                : 'Nothing is logged: finish this session as skipped?',
            )
          )
            return
          record({ kind: 'close', session: log.id })
        }}
      >
        {noted ? 'Finish the session' : 'Skip this session'}
      </Button>
    </article>
  )
}

/** A load is looked for on a bar, in the hand or on a stack; a circuit is no place for it. */
const canFind = (library: Library, slot: PlannedSlot): boolean =>
  !slot.circuit && exerciseOf(library, slot).tool !== 'body weight'

/** Back-offs and drops follow what this phone has logged, before the server knows of it. */
function followLogged(
  library: Library,
  session: PlannedSession,
  log: SessionLog,
  evidence: Evidence,
): PlannedSession {
  if (!session.slots.some(({ sets: groups }) => groups.some(({ today }) => today))) return session
  const bars = session.slots.map(({ slot, sets: groups }) => ({
    slot,
    groups,
    sets: log.sets.filter((set) => set.slot === slot),
  }))
  const lifts = new Map(session.slots.map((slot) => [slot.slot, slot]))
  const groups = followToday(bars, (id) =>
    loadingAt(library, evidence, log.location, lifts.get(id) as PlannedSlot),
  )
  return {
    ...session,
    slots: session.slots.map((slot, i) => ({ ...slot, groups: groups[i] ?? slot.sets })),
  }
}

const startRest = (seconds: number) => ({ from: Date.now(), seconds })
