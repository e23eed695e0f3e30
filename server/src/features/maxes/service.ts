import { inputOf } from '../training/planInput.ts'
import type {
  GivenBodyWeight,
  GivenMax,
  GivenRows,
  KnownMax,
  MaxesView,
  MaxTableLine,
  ProposedMax,
  RowsAnswer,
  UsedBy,
} from '@young-oak/api/maxes'
import type { MemberFile } from '@young-oak/api/members'
import { maxFor, type Evidence, type Proposal } from '@young-oak/core/evidence'
import { planMember, type Plan } from '@young-oak/core/plan'
import type { KnownRow } from '@young-oak/core/parsing'
import { compareLifts, liftKey, liftOfKey } from '@young-oak/core/library'
import type { MaxInForce } from '@young-oak/core/loads'
import { defaultFormula, type FormulaKind } from '@young-oak/core/maxes'
import type { Fact } from '@young-oak/core/facts'
import { dependentsOf } from '@young-oak/core/views'
import { compareLoads, formatLoad, type Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { pageSize, type Page } from '@young-oak/api/contracts'
import { pageFrom } from '../../http/page.ts'
import type { Seat } from '../../http/seat.ts'
import { memberScopes } from '../members/memberScope.ts'
import { forbidden, Problem } from '../../http/problem.ts'
import { nextFactId } from '@young-oak/api/factId'
import { readMemberFile } from '../training/memberFile.ts'
import { insertFact, insertFacts } from '../training/store.ts'
import { membersWithMaxes } from './store.ts'

export async function maxes(scope: MemberScope, day: Day): Promise<MaxesView> {
  const { file } = await readMemberFile(scope)
  const when = { today: day, through: 'end' } as const
  const { plans, evidence, proposals } = planMember(inputOf(scope, file, when))
  const needed = Object.values(plans)
    .flatMap(({ weeks }) =>
      weeks.flatMap(({ places }) => places.filter(({ status }) => status === 'next' || status === 'ahead')),
    )
    .flatMap(({ slots }) => slots.flatMap(({ needs }) => needs))
    .filter(({ need }) => need === 'max')
    .map(({ lift }) => ({ exercise: lift.exercise, ...(lift.variant && { variant: lift.variant }) }))
  const unique = new Map(needed.map((lift) => [liftKey(lift), lift]))
  return {
    unit: evidence.unit,
    maxes: listMaxes(scope, evidence, usedBy(scope, file, plans), day),
    proposals: listProposals(scope, proposals),
    needed: [...unique.values()],
    body: evidence.body,
  }
}

/** What depends on each max, in the versions that the member is on now. */
function usedBy(
  { library }: Scope,
  { versions }: MemberFile,
  plans: Record<string, Plan>,
): Record<string, UsedBy[]> {
  const found: Record<string, UsedBy[]> = {}
  for (const { version } of Object.values(plans)) {
    const template = versions[version]
    for (const [lift, dependents] of Object.entries(template ? dependentsOf(library, template) : {}))
      found[lift] = [
        ...(found[lift] ?? []),
        ...dependents.map((one) => ({ ...one, program: template?.name ?? '' })),
      ]
  }
  return found
}

export const listProposals = ({ library }: Scope, proposals: Proposal[]): ProposedMax[] =>
  proposals.map(({ lift, ...proposal }) => ({ ...liftOfKey(lift), ...proposal })).sort(compareLifts(library))

/** Writes a max as a fact. A single with nothing left is a test; any other set is an estimate that is accepted by being sent. */
export async function giveMax(
  scope: MemberScope,
  given: GivenMax,
  id: string = nextFactId(),
): Promise<boolean> {
  const { today: day, ...max } = given
  refuseFuture(given.date, day, 'A max cannot be dated after today.')
  if (given.help) await refuseTooMuchHelp(scope, given)
  return insertFact(scope, maxFact(max, day, id))
}

export async function giveBodyWeight(
  scope: MemberScope,
  { load, date, today: day }: GivenBodyWeight,
  id: string = nextFactId(),
): Promise<boolean> {
  refuseFuture(date, day, 'A body weight cannot be dated after today.')
  const fact: Fact = {
    id,
    rev: 1,
    kind: 'bodyWeight',
    load,
    date,
    actsFrom: laterOf(day, date),
  }
  return insertFact(scope, fact)
}

async function refuseTooMuchHelp(scope: MemberScope, { load, today: day }: GivenMax): Promise<void> {
  const { member } = (await readMemberFile(scope)).file
  const { body } = planMember(
    inputOf(scope, { member, enrolments: [], versions: {} }, { today: day, through: 'near' }),
  ).evidence
  if (!body || compareLoads(load, body.load) < 0) return
  const message = `That is more help than the body weighs (${formatLoad(body.load)}).`
  throw new Problem('moreHelpThanBody', message, [{ path: 'load.value', message }])
}

function refuseFuture(date: Day, day: Day, message: string): void {
  if (date > day) throw new Problem('inTheFuture', message, [{ path: 'date', message }])
}

const laterOf = (a: Day, b: Day): Day => (a < b ? b : a)

/** A max as it is stored: a single with nothing left is a test. */
export function maxFact({ formula, ...max }: Omit<GivenMax, 'today'>, day: Day, id: string): Fact {
  const isTest = max.reps + (max.rir ?? 0) === 1
  const how = isTest ? { how: 'tested' as const } : { how: 'accepted estimate' as const, formula }
  return { id, rev: 1, kind: 'max', ...max, ...how, actsFrom: laterOf(day, max.date) } as Fact
}

/** The writer's members beside each other, as their facts alone tell. */
export async function maxTable(
  scope: Scope,
  seat: Seat,
  { today: day, after }: { today: Day; after?: string },
): Promise<Page<MaxTableLine>> {
  const own = await memberScopes(scope, seat, { after, most: pageSize + 1 })
  const { items, next } = pageFrom(await membersWithMaxes(scope, own))
  const when = { today: day, through: 'near' } as const
  return {
    next,
    items: items.map(({ id, name, facts }) => {
      const { evidence } = planMember(
        inputOf(scope, { member: { facts, logs: [] }, enrolments: [], versions: {} }, when),
      )
      return {
        id,
        name,
        maxes: listMaxes(scope, evidence, {}, day).map(({ exercise, variant, load, date, staleWeeks }) => ({
          exercise,
          ...(variant && { variant }),
          load,
          date,
          ...(staleWeeks !== undefined && { staleWeeks }),
        })),
        known: facts.flatMap(knownRow),
      }
    }),
  }
}

function knownRow(fact: Fact): MaxTableLine['known'] {
  if (fact.kind !== 'max') return []
  const { exercise, variant, load, help, reps, rir, formula, date } = fact
  return [
    {
      exercise,
      ...(variant && { variant }),
      load,
      ...(help && { help }),
      reps,
      ...(rir && { rir }),
      formula: formula ?? defaultFormula,
      date,
    },
  ]
}

/** Stores lines of a sheet: those that are already stored are passed over, so that a sheet may be brought in again. */
export async function giveRows(
  scope: Scope,
  seat: Seat,
  { rows, today: day }: GivenRows,
): Promise<RowsAnswer> {
  const scopes = await memberScopes(scope, seat, { ids: rows.map(({ member }) => member) })
  const members = new Map((await membersWithMaxes(scope, scopes)).map((one) => [one.id, one]))
  const fresh = rows.flatMap(({ member, ...row }, i) => {
    const own = members.get(member)
    const its = scopes.find((one) => one.member === member)
    if (!own || !its) throw forbidden()
    refuseFuture(row.date, day, `Line ${i + 1}: a max cannot be dated after today.`)
    const isKnown = own.facts.flatMap(knownRow).some((known) => isSame(known, row as KnownRow))
    return isKnown ? [] : [{ scope: its, fact: maxFact(row, day, nextFactId(i)) }]
  })
  if (fresh.length) await insertFacts(scope, fresh)
  return { stored: fresh.length, known: rows.length - fresh.length }
}

const isSame = (a: KnownRow, b: KnownRow): boolean =>
  liftKey(a) === liftKey(b) &&
  a.date === b.date &&
  a.reps === b.reps &&
  a.help === b.help &&
  compareLoads(a.load, b.load) === 0

/** The newest of each lift, with those before it; too old by the usual weeks, since this belongs to no program. */
function listMaxes(
  { library }: Scope,
  evidence: Evidence,
  used: Record<string, UsedBy[]>,
  day: Day,
): MaxesView['maxes'] {
  return Object.entries(evidence.maxes)
    .flatMap(([key, accepted]): MaxesView['maxes'] => {
      const lift = liftOfKey(key)
      const max = maxFor(library, evidence, lift, usualPolicy, day)
      if (!max) return []
      const { staleWeeks } = max
      const before = accepted.slice(0, -1).reverse().map(knownMax)
      const usedBy = used[key] ?? []
      return [{ ...lift, ...knownMax(max), ...(staleWeeks !== undefined && { staleWeeks }), before, usedBy }]
    })
    .sort(compareLifts(library))
}

const usualPolicy = { use: 'newest' } as const

const knownMax = ({ load, date, from }: MaxInForce): KnownMax => ({
  load,
  date,
  ...(from && { from: { ...from, formula: from.formula as FormulaKind | undefined } }),
})
