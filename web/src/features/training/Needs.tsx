import { useLibrary } from '../library/useLibrary.ts'
import { Link } from 'react-router'
import { liftName } from '@young-oak/core/library'
import type { PlannedSlot } from '@young-oak/core/plan'

/** Never a silent zero: the slot says what it lacks, and the way to give it. */
export function Needs({ slot }: { slot: PlannedSlot }) {
  const library = useLibrary()
  const [need] = slot.needs
  const prescribed = slot.sets.find(({ missing }) => missing)
  const what = need?.need ?? prescribed?.need
  const box = 'my-1 rounded bg-acorn-wash px-3 py-2 text-acorn'
  const link = 'inline-block py-1 font-medium underline'
  if (what === 'role')
    return (
      <p className={box}>
        This load is worked out from {need?.need === 'role' ? `your ${need.role} day` : 'another day'}, which
        has not been trained yet.
      </p>
    )
  if (what === 'topSet')
    return (
      <p className={box}>
        This load follows a top set that is{' '}
        {need?.need === 'topSet' && need.of
          ? `a ${liftName(library, need.of).toLowerCase()} today`
          : 'not done before it today'}
        . Choose a load that leaves the RIR asked for.
      </p>
    )
  if (what === 'bodyWeight')
    return (
      <p className={box}>
        This load includes your body weight, which is not entered yet.{' '}
        <Link className={link} to="/maxes#body-weight">
          Enter body weight
        </Link>
      </p>
    )
  if (what !== 'max') return null
  const lift = need?.lift ?? prescribed?.lift ?? slot
  return (
    <p className={box}>
      No {liftName(library, lift).toLowerCase()} max yet, so there is no load.{' '}
      <Link className={link} to={`/maxes?lift=${lift.exercise}`}>
        Add a max
      </Link>
      , or find the load during the session.
    </p>
  )
}
