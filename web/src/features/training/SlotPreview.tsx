import { useLibrary } from '../library/useLibrary.ts'
import type { PlannedSlot } from '@young-oak/core/plan'
import { exerciseOf, isSameLift, liftName, liftOf } from '@young-oak/core/library'
import { formatAsked, formatCircuit, formatGroup, formatWarmUps } from '@young-oak/core/views'
import { Why } from '../../ui/Why.tsx'
import { ExerciseChoice } from './later.ts'
import { Lighter } from './Lighter.tsx'
import { Needs } from './Needs.tsx'
import { readsNote, sayLast } from './words.ts'

/** A slot of a session that has not begun: what will be asked, why, and what it was last time. */
export function SlotPreview({ slot, enrolment }: { slot: PlannedSlot; enrolment: string }) {
  const library = useLibrary()
  const { choices } = slot
  return (
    <li className="flex items-baseline gap-3 py-3">
      <span className="w-5 shrink-0 text-sm text-bark">{slot.letter}</span>
      <div className="grow">
        <h3 className="text-lg">{slot.circuit?.name ?? liftName(library, slot)}</h3>
        {slot.circuit && <p>{formatCircuit(slot.circuit)}</p>}
        {choices?.some((lift) => isSameLift(lift, slot)) && (
          <ExerciseChoice
            fallback={null}
            of={{
              enrolment,
              slot: slot.slot,
              label: 'Your choice of exercise',
              of: choices,
              chosen: liftOf(slot),
            }}
          />
        )}
        {slot.warmUps && <p className="text-sm text-bark">Warm-up: {formatWarmUps(slot.warmUps)}</p>}
        {slot.sets.map((prescribed) => (
          <p key={prescribed.prescription} className="text-lg">
            <Why
              title={
                prescribed.load ? formatAsked(prescribed, prescribed.load) : formatGroup(library, prescribed)
              }
              steps={prescribed.missing ? [] : prescribed.why}
              says={formatGroup(library, prescribed)}
            >
              {formatGroup(library, prescribed)}
            </Why>
            {prescribed.today && !prescribed.load && <span className="text-bark"> @ from your top set</span>}
            {prescribed.load && readsNote(library, slot) && (
              <span className="text-bark"> {readsNote(library, slot)}</span>
            )}
            {prescribed.rir !== undefined && <span className="text-bark">, {prescribed.rir} RIR</span>}
          </p>
        ))}
        <Lighter slot={slot} />
        <Needs slot={slot} />
        {slot.last && (
          <p className="text-sm text-bark">
            Last: {sayLast(slot.last, exerciseOf(library, slot).tool === 'body weight')}
          </p>
        )}
        {slot.note && <p className="text-sm text-bark">{slot.note}</p>}
      </div>
    </li>
  )
}
