import type { Need } from '@young-oak/core/loads'
import type { OnDay, Plan, PlannedSession, PlannedSlot, PlannedWeek } from '@young-oak/core/plan'
import type { LaterPhase } from '@young-oak/core/template'
import { becauses } from '@young-oak/core/progressions'
import { lift, liftKeys } from './lifts.ts'
import { whyStep, shownSets, circuit, warmUp, lastTime } from './shown.ts'
import { pause } from './known.ts'
import { setLog } from './logs.ts'
import { exact, choice, count, date, left, list, orNull, text, yesOrNo, type Reads } from './reads.ts'

const need = (): Reads<Need> =>
  exact<{ need: Need['need']; lift: Need['lift']; role?: string; of?: Need['lift'] }>({
    need: choice('max', 'bodyWeight', 'role', 'topSet'),
    lift: lift(),
    role: left(text()),
    of: left(lift()),
  }) as Reads<Need>
const verdict = () => choice('hit', 'miss', 'skip', 'deload', 'not comparable')

const plannedSlot = () =>
  exact<PlannedSlot>(
    {
      ...liftKeys(),
      slot: text(),
      letter: text(),
      note: left(text()),
      deload: yesOrNo(),
      choices: left(list(lift())),
      circuit: left(circuit()),
      warmUps: left(list(warmUp())),
      sets: list(shownSets()),
      withoutDeload: left(list(shownSets())),
      needs: list(need()),
      last: left(lastTime()),
      verdict: left(verdict()),
      because: left(choice(...becauses)),
      supposed: left(verdict()),
      done: left(list(setLog())),
    },
    'PlannedSlot',
  )
const plannedSession = () =>
  exact<PlannedSession>(
    {
      position: count(),
      attempt: count(),
      inWeek: count(),
      session: text(),
      name: text(),
      status: choice('trained', 'skipped', 'dropped', 'open', 'next', 'ahead'),
      date: left(date()),
      log: left(text()),
      on: left(exact<OnDay>({ day: date(), hours: left(count()), why: list(whyStep()) })),
      slots: list(plannedSlot()),
      changes: list(exact<PlannedSession['changes'][number]>({ slot: text(), step: whyStep() })),
    },
    'PlannedSession',
  )
const plannedWeek = () =>
  exact<PlannedWeek>(
    {
      week: count(),
      version: text(),
      phase: text(),
      phaseName: text(),
      phaseWeek: count(),
      deload: yesOrNo(),
      from: left(date()),
      inserted: left(exact<NonNullable<PlannedWeek['inserted']>>({ fact: text(), week: count() })),
      toTest: left(count()),
      places: list(plannedSession()),
    },
    'PlannedWeek',
  )
export const plan = () =>
  exact<Plan>(
    {
      enrolment: text(),
      version: text(),
      track: orNull(text()),
      start: date(),
      over: left(date()),
      paused: left(pause()),
      weeks: list(plannedWeek()),
      next: orNull(count()),
      lastWeek: count(),
      later: left(list(exact<LaterPhase>({ name: text(), weeks: left(count()) }))),
    },
    'Plan',
  )
