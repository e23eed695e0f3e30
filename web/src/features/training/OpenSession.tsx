import { useLibrary } from '../library/useLibrary.ts'
import { useMemo, useState } from 'react'
import { loadingAt, type Evidence } from '@young-oak/core/evidence'
import { exerciseOf, liftName, type Library } from '@young-oak/core/library'
import { formatRest, type Span } from '@young-oak/core/units'
import type { SessionLog } from '@young-oak/core/member'
import type { PlannedSession, PlannedSlot } from '@young-oak/core/plan'
import { record } from '../../offline/useOutbox.ts'
import { announce } from '../../ui/announce.ts'
import { Button } from '../../ui/Button.tsx'
import { askedSets, type AskedSet } from './askedSets.ts'
import { followLogged } from './followLogged.ts'
import { recordSet } from './recordSet.ts'
import { StillSore } from './later.ts'
import { RestTimer } from './RestTimer.tsx'
import type { Result } from './setDraft.ts'
import { SlotCard } from './SlotCard.tsx'
import { sayDone } from './words.ts'

type Props = { session: PlannedSession; log: SessionLog; evidence: Evidence }

/** The session as a list to walk down: the current set large, the others in a line each. */
export function OpenSession({ session: asShown, log, evidence }: Props) {
  const library = useLibrary()
  const session = useMemo(
    () => followLogged(library, asShown, log, evidence),
    [library, asShown, log, evidence],
  )
  const [chosen, choose] = useState<string | null>(null)
  const [rest, setRest] = useState<{ from: number; rest: Span } | null>(null)
  const setOf = (slot: PlannedSlot, n: number) =>
    log.sets.find((set) => set.slot === slot.slot && set.n === n)
  const left = (slot: PlannedSlot) =>
    askedSets(
      slot,
      log.sets.filter((set) => set.slot === slot.slot),
    ).filter(({ n }) => !setOf(slot, n))
  const isDone = (slot: PlannedSlot) => left(slot).length === 0
  const current =
    session.slots.find(({ slot }) => slot === chosen) ?? session.slots.find((slot) => !isDone(slot))
  const allDone = session.slots.every(isDone)
  const noted = log.sets.length

  const logSet = (slot: PlannedSlot, asked: AskedSet, result: Result) => {
    recordSet(log, slot, asked, result)
    announce(sayLogged(library, slot, asked, result))
    choose(null)
    setRest(asked.prescribed.rest ? startRest(asked.prescribed.rest) : null)
  }

  return (
    <article className="mt-6">
      <h2 className="text-3xl">{session.name}</h2>
      {session.slots.length === 0 && <p className="mt-3 text-bark">Rest day: nothing to train.</p>}
      {session.slots.length > 0 && <StillSore fallback={null} of={{ session, log }} />}
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
      {rest && !allDone && <RestTimer key={rest.from} from={rest.from} rest={rest.rest} />}
      <Button
        size="thumb"
        look={allDone ? 'main' : 'plain'}
        data-work={allDone || undefined}
        className="mt-6 w-full"
        onClick={() => {
          const open = session.slots.flatMap(left).length
          if (
            open &&
            !confirm(
              noted
                ? `${open} ${open === 1 ? 'set is' : 'sets are'} not logged. Finish anyway?`
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

/** "Set 1 of Back squat logged: 110 kg × 5. Rest 3:00." */
function sayLogged(library: Library, slot: PlannedSlot, { n, prescribed }: AskedSet, result: Result): string {
  const isOnBody = exerciseOf(library, slot).tool === 'body weight'
  const name = slot.circuit?.name ?? liftName(library, slot)
  const rest = prescribed.rest ? ` Rest ${formatRest(prescribed.rest)}.` : ''
  return `Set ${n} of ${name} logged: ${sayDone(result, isOnBody)}.${rest}`
}

/** A load is looked for on a bar, in the hand or on a stack; a circuit is no place for it. */
const canFind = (library: Library, slot: PlannedSlot): boolean =>
  !slot.circuit && exerciseOf(library, slot).tool !== 'body weight'

const startRest = (rest: Span) => ({ from: Date.now(), rest })
