import type { Lacking } from '@young-oak/api/maxes'
import { nextFactId } from '@young-oak/api/factId'
import type { Evidence } from '@young-oak/core/evidence'
import type { Fact } from '@young-oak/core/facts'
import { liftKey, type Lift } from '@young-oak/core/library'
import type { Day } from '@young-oak/core/units'
import { defaultFormula } from '@young-oak/core/maxes'
import { planMember } from '@young-oak/core/plan'
import { addressOf } from '../accounts/store.ts'
import type { Scope } from '../../database/scope.ts'
import { Problem } from '../../http/problem.ts'
import type { Seat } from '../../http/seat.ts'
import { askMaxesMail } from '../mail/letters.ts'
import { write } from '../mail/service.ts'
import { memberScopes, type MemberScope } from '../members/memberScope.ts'
import { planEach } from '../training/planEach.ts'
import { inputOf } from '../training/planInput.ts'
import { insertFacts } from '../training/store.ts'
import { maxFact } from './service.ts'

/** How many members are read with one statement. */
const batch = 50

/** Accepts the estimates of lifts that members have no max of. Answers how many, and how many members lack one of them still. */
export async function acceptEstimates(
  scope: Scope,
  seat: Seat,
  { rows, today }: Lacking,
): Promise<{ stored: number; without: number }> {
  const own = await ownOf(scope, seat, rows)
  const wanted = new Map(rows.map(({ member, lifts }) => [member, lifts as Lift[]]))
  const facts: { scope: MemberScope; fact: Fact }[] = []
  let without = 0
  for (let from = 0; from < own.length; from += batch) {
    const scopes = own.slice(from, from + batch)
    const known = await planEach(scopes, today, ({ file, checkpoint }) => {
      const planned = planMember(inputOf(scope, file, { today, through: 'next' }), checkpoint)
      return { found: planned.evidence, planned, isWhole: planned.isResumed }
    })
    for (const { read, found } of known) {
      const lacking = (wanted.get(read.member) ?? []).filter((lift) => !found.maxes[liftKey(lift)]?.length)
      const maxes = lacking.flatMap((lift) => maxFrom(found, lift, today) ?? [])
      if (maxes.length < lacking.length) without += 1
      const whose = scopes.find(({ member }) => member === read.member) as MemberScope
      facts.push(...maxes.map((fact) => ({ scope: whose, fact })))
    }
  }
  if (facts.length) await insertFacts(scope, facts)
  return { stored: facts.length, without }
}

/** The max that the estimate of a lift gives, by the set that it came from. */
function maxFrom({ estimates }: Evidence, lift: Lift, today: Day): Fact | null {
  const seen = estimates[liftKey(lift)]
  if (!seen) return null
  const { body: _, ...set } = seen.from
  const { exercise, variant } = lift
  const max = { exercise, ...(variant && { variant }), ...set, formula: defaultFormula, date: seen.date }
  return maxFact(max, today, nextFactId())
}

/** Writes to members that their maxes are asked for: which, the page of their maxes says. */
export async function askForMaxes(
  scope: Scope,
  seat: Seat,
  { rows, today }: Lacking,
): Promise<{ asked: number }> {
  const { db } = scope
  const own = await ownOf(scope, seat, rows)
  const people = await db('member')
    .whereIn(
      'id',
      own.map(({ member }) => member),
    )
    .whereNotNull('account_id')
    .select<{ name: string; account: string }[]>('name', 'account_id as account')
  let asked = 0
  for (const one of people) {
    const email = await addressOf(scope, one.account)
    if (email === undefined) continue
    await write(scope, askMaxesMail({ name: seat.gymName }, seat.name, { ...one, email }, today))
    asked += 1
  }
  return { asked }
}

async function ownOf(scope: Scope, seat: Seat, rows: Lacking['rows']): Promise<MemberScope[]> {
  const ids = [...new Set(rows.map(({ member }) => member))]
  const own = await memberScopes(scope, seat, { ids })
  if (own.length !== ids.length)
    throw new Problem('notAllowed', 'Some of these members are not assigned to you. Nothing was done.')
  return own
}
