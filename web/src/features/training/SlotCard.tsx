import { Check, X } from 'lucide-react'
import { exerciseOf, liftName } from '@young-oak/core/library'
import type { SetLog } from '@young-oak/core/member'
import { formatGroups, type PlannedSlot } from '@young-oak/core/plan'
import { CurrentSet } from './CurrentSet.tsx'
import { askedSets, type AskedSet } from './askedSets.ts'
import type { Result } from './setDraft.ts'
import { NeedsMax } from './SlotPreview.tsx'
import { sayDone, sayLast } from './words.ts'

type Props = {
  slot: PlannedSlot
  sets: SetLog[]
  isCurrent: boolean
  /** Makes it the current one; absent where every slot is open. */
  onOpen?: () => void
  onLog: (asked: AskedSet, result: Result) => void
}

/** A slot of the open session. The current one shows its set large; each logged set can be opened and corrected. */
export function SlotCard({ slot, sets, isCurrent, onOpen, onLog }: Props) {
  const asked = askedSets(slot)
  const current = asked.find(({ n }) => !sets.some((set) => set.n === n))
  const before = [...sets].sort((a, b) => b.n - a.n)[0]
  return (
    <li className="py-4" aria-current={isCurrent ? 'step' : undefined}>
      <button
        type="button"
        onClick={onOpen}
        className="flex min-h-11 w-full items-baseline gap-3 text-left"
        aria-expanded={isCurrent}
      >
        <span className="w-5 shrink-0 text-sm text-bark">{slot.letter}</span>
        <span className="grow">
          <span className="font-serif text-xl font-semibold">{liftName(slot)}</span>
          <span className="ml-3 text-bark">{formatGroups(slot.groups)}</span>
        </span>
        <span className="text-sm text-bark">
          {sets.length} of {asked.length}
        </span>
      </button>
      {slot.needs.length > 0 && <NeedsMax slot={slot} />}
      {isCurrent && slot.last && (
        <p className="ml-8 text-bark">
          Last time: {sayLast(slot.last, exerciseOf(slot).tool === 'body weight')}
        </p>
      )}
      {sets.length > 0 && <Logged asked={asked} sets={sets} onLog={onLog} slot={slot} isOpen={isCurrent} />}
      {isCurrent && current && (
        <CurrentSet
          key={current.n}
          slot={slot}
          asked={current}
          of={asked.length}
          before={before}
          onLog={(result) => onLog(current, result)}
        />
      )}
    </li>
  )
}

type LoggedProps = {
  asked: AskedSet[]
  sets: SetLog[]
  slot: PlannedSlot
  isOpen: boolean
  onLog: Props['onLog']
}

function Logged({ asked, sets, slot, isOpen, onLog }: LoggedProps) {
  const isOnBody = exerciseOf(slot).tool === 'body weight'
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
