import { advance } from '../replay/advance.ts'
import type { SetLog } from '../../member/index.ts'
import { judge } from '../replay/verdict.ts'
import type { Outcome } from '../state/fold.ts'
import type { Prescribed, Situation } from '../state/situation.ts'
import type { Doing } from '../types.ts'
import { supposedSets } from './supposedSets.ts'

const noSets: SetLog[] = []

/** Moves on past a place, were it done so: how plans look ahead. Says what became of its slots. */
export function assume(situation: Situation, asked: Prescribed[], doing: Doing = 'asked'): Outcome[] {
  if (doing !== 'asked') {
    const outcomes = asked.map((prescribed): Outcome => {
      const done = supposedSets(prescribed, doing)
      const { slot, prescriptions, deload } = prescribed
      return { prescribed, done, ...judge(slot, prescriptions, done, deload) }
    })
    advance(situation, outcomes, situation.day)
    return outcomes
  }
  const outcomes = asked.map((prescribed): Outcome => {
    const { prescriptions, deload } = prescribed
    const isProven = !prescriptions.some(({ missing, short }) => missing || short)
    return { prescribed, verdict: deload ? 'deload' : isProven ? 'hit' : 'not comparable', done: noSets }
  })
  advance(situation, outcomes, null)
  return outcomes
}
