import { useLibrary } from '../library/useLibrary.ts'
import { useState } from 'react'
import { Check, X } from 'lucide-react'
import type { PlannedSlot } from '@young-oak/core/plan'
import { exerciseOf, liftName, type Library } from '@young-oak/core/library'
import type { SetLog } from '@young-oak/core/member'
import { formatCircuit, formatSetsShown } from '@young-oak/core/views'
import type { Makeable } from '@young-oak/core/units'
import { CurrentSet } from './CurrentSet.tsx'
import { askedSets, isTry, type AskedSet } from './askedSets.ts'
import { FindLoad } from './FindLoad.tsx'
import { foundSoFar } from './foundSoFar.ts'
import type { Result } from './setDraft.ts'
import { Needs } from './Needs.tsx'
import { WarmUps } from './WarmUps.tsx'
import { sayDone, sayLast } from './words.ts'

type Props = {
  slot: PlannedSlot
  sets: SetLog[]
  isCurrent: boolean
  /** Makes it the current one; absent where every slot is open. */
  onOpen?: () => void
  onLog: (asked: AskedSet, result: Result) => void
  /** What can be loaded here, where a load that nobody knows may be looked for. */
  can?: Makeable
}

/** A slot of the open session. The current one shows its set large; each logged set can be opened and corrected. */
export function SlotCard({ slot, sets, isCurrent, onOpen, onLog, can }: Props) {
  const library = useLibrary()
  const asked = askedSets(slot, sets)
  const current = asked.find(({ n }) => !sets.some((set) => set.n === n))
  const [isFinding, setFinding] = useState(sets.some(isTry))
  const old = slot.sets.find(({ why }) => why.some(({ id }) => id.endsWith('LongAgo')))
  const missing = can && (slot.sets.find(({ need }) => need === 'max') ?? old)
  const found = missing && can && sets.some(isTry) ? foundSoFar(missing, sets, can) : undefined
  const last = sets.filter((set) => !isTry(set)).sort((a, b) => b.n - a.n)[0]
  const before = last ?? (found?.isFound ? ({ load: found.load } as SetLog) : undefined)
  const isOnBody = exerciseOf(library, slot).tool === 'body weight'
  const logged = sets.filter((set) => !isTry(set)).length
  return (
    <li className="py-4" aria-current={isCurrent ? 'step' : undefined}>
      <button
        type="button"
        onClick={onOpen}
        className="flex min-h-11 w-full items-baseline gap-3 text-left"
        aria-expanded={isCurrent}
        aria-label={nameOf(library, slot, logged, asked.length)}
      >
        <span className="w-5 shrink-0 text-sm text-bark">{slot.letter}</span>
        <span className="grow">
          <span className="font-serif text-xl font-semibold">
            {slot.circuit?.name ?? liftName(library, slot)}
          </span>
          <span className="ml-3 text-bark">
            {slot.circuit && `${formatCircuit(slot.circuit)}: `}
            {formatSetsShown(library, slot.sets)}
          </span>
        </span>
        <span className="shrink-0 text-sm whitespace-nowrap text-bark">
          {logged} of {asked.length}
        </span>
      </button>
      {!found?.isFound && <Needs slot={slot} />}
      {isCurrent && missing && can && (
        <FindLoad
          slot={slot}
          prescribed={missing}
          sets={sets}
          can={can}
          onTry={onLog}
          isAnew={missing === old}
          isOpen={isFinding}
          onOpen={() => setFinding(true)}
        />
      )}
      {isCurrent && slot.warmUps && sets.length === 0 && <WarmUps sets={slot.warmUps} />}
      {isCurrent && slot.last && <p className="ml-8 text-bark">Last time: {sayLast(slot.last, isOnBody)}</p>}
      {sets.length > 0 && <Logged asked={asked} sets={sets} onLog={onLog} slot={slot} isOpen={isCurrent} />}
      {isCurrent && current && (!missing || !isFinding || found?.isFound) && (
        <CurrentSet
          key={`${current.n}/${found?.isFound}`}
          slot={slot}
          asked={current}
          of={asked.length}
          before={before}
          found={missing && missing === old && found?.isFound ? found.load : undefined}
          isNext
          onLog={(result) => onLog(current, result)}
        />
      )}
    </li>
  )
}

/** "A, Back squat, 3 × 5 @ 110 kg, 1 of 3 sets logged". */
const nameOf = (library: Library, slot: PlannedSlot, logged: number, of: number): string =>
  [
    slot.letter,
    slot.circuit?.name ?? liftName(library, slot),
    slot.circuit && formatCircuit(slot.circuit),
    formatSetsShown(library, slot.sets),
    `${logged} of ${of} ${of === 1 ? 'set' : 'sets'} logged`,
  ]
    .filter(Boolean)
    .join(', ')

type LoggedProps = {
  asked: AskedSet[]
  sets: SetLog[]
  slot: PlannedSlot
  isOpen: boolean
  onLog: Props['onLog']
}

function Logged({ asked, sets, slot, isOpen, onLog }: LoggedProps) {
  const library = useLibrary()
  const isOnBody = exerciseOf(library, slot).tool === 'body weight'
  return (
    <ul className="mt-1 ml-8 flex flex-wrap gap-x-4 gap-y-1">
      {[...sets]
        .sort((a, b) => a.n - b.n)
        .map((set) => {
          const own = asked.find(({ n }) => n === set.n)
          const iconAt = isOpen && own ? 'mt-3.5' : 'mt-1'
          return (
            <li key={set.id} className="flex items-start gap-1">
              {set.state === 'done' ? (
                <Check size={16} className={`text-leaf ${iconAt}`} aria-label="done" />
              ) : (
                <X size={16} className={`text-brick ${iconAt}`} aria-label="failed" />
              )}
              {isOpen && own ? (
                <details key={set.rev} className="inline">
                  <summary className="inline-flex min-h-11 cursor-pointer items-center underline decoration-dotted underline-offset-4">
                    {sayDone(set, isOnBody)}
                  </summary>
                  <CurrentSet
                    slot={slot}
                    asked={own}
                    of={asked.length}
                    before={set}
                    isCorrection
                    onLog={(result) => onLog(own, result)}
                  />
                </details>
              ) : (
                sayDone(set, isOnBody)
              )}
            </li>
          )
        })}
    </ul>
  )
}
