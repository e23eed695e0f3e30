import type { Library } from '@young-oak/core/library'
import { readShown, type Shown, type ShownSets } from '@young-oak/core/member'
import { Checker } from '@young-oak/core/parsing'
import type { Load } from '@young-oak/core/units'
import { mixed } from 'yup'
import { faultIn } from './contracts/reads.ts'
import { shown } from './contracts/shown.ts'

/** Characters of a snapshot: a session of twenty slots with all their steps has about a tenth of it. */
const mostShown = 200_000
/** Prescriptions of a slot, sets of a prescription (a set's number goes no further), and kilos or pounds: more than any session has. */
const most = { prescriptions: 60, sets: 99, load: 5000 }

/** A snapshot that a phone sent: of this build's shape, of a size that a session has, and with nothing in it that no session asks. */
export function shownHere() {
  return mixed<Shown>()
    .required()
    .test({
      name: 'shown',
      message: 'The server cannot read this session. Load the page again.',
      skipAbsent: true,
      test: (value, { options: { context = {} } }) => {
        if (sizeOf(value) > mostShown) return false
        const checker = new Checker((context as { library?: Library }).library ?? {})
        const read = readShown(checker, value, 'shown')
        if (!read || checker.issues.length || read.at.deload === undefined) return false
        return (
          faultIn(shown(), value) === null && Object.values(read.slots).every(({ sets }) => isAsked(sets))
        )
      },
    })
}

/** In characters; endless where it is nested too deeply to be written. */
function sizeOf(value: unknown): number {
  try {
    return JSON.stringify(value).length
  } catch {
    return Infinity
  }
}

const isAsked = (all: ShownSets[]): boolean =>
  all.length <= most.prescriptions &&
  all.every(
    ({ sets, load, target, ruled, body }) =>
      sets >= 1 && sets <= most.sets && [load, target, ruled, body].every(isLoad),
  )

const isLoad = (load: Load | null | undefined): boolean =>
  !load || (load.value >= 0 && load.value <= most.load)
