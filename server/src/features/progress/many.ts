import type { EntriesOfMany, FactForMany } from '@young-oak/api/progress'
import { nextFactId } from '@young-oak/api/factId'
import { givenKinds } from '@young-oak/core/facts'
import type { Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import type { Seat } from '../../http/seat.ts'
import { memberScopes, type MemberScope } from '../members/memberScope.ts'
import { holdMembers, insertFacts } from '../training/store.ts'
import { readGiven, takeBack } from './service.ts'
import { readFactsOf, runsOf } from './store.ts'

/**
 * Stores the same fact for several members of a writer, all of them or none: of a template the run that each of them is on, and nothing for
 * those who are on none. Answers what was stored, by which it can be taken back.
 */
export async function giveToMany(
  scope: Scope,
  seat: Seat,
  { members, template, fact, today }: FactForMany,
): Promise<EntriesOfMany> {
  const scopes = await ownScopes(scope, seat, members, 'Nothing was saved.')
  const given = (own: MemberScope, named: object) => ({
    scope: own,
    fact: readGiven(own, { fact: named, today }, nextFactId()),
  })
  if (template === undefined)
    return store(
      scope,
      [...scopes.values()].map((own) => given(own, fact)),
    )
  const runs = await runsOf(scope, template, [...scopes.keys()])
  return store(
    scope,
    runs.map(({ member, enrolment }) => given(scopes.get(member) as MemberScope, { ...fact, enrolment })),
  )
}

async function store(scope: Scope, facts: Parameters<typeof insertFacts>[1]): Promise<EntriesOfMany> {
  await insertFacts(scope, facts)
  return { rows: facts.map(({ scope: { member }, fact: { id } }) => ({ member, id })) }
}

/** Takes back what was entered for several members, all of it or none; what was taken back already stays so. */
export async function takeBackFromMany(
  scope: Scope,
  seat: Seat,
  { rows }: EntriesOfMany,
  today: Day,
): Promise<void> {
  const scopes = await ownScopes(
    scope,
    seat,
    rows.map(({ member }) => member),
    'Nothing was taken back.',
  )
  // Of two who take the same back at once, the second finds it taken back.
  await holdMembers(scope, [...scopes.keys()])
  const facts = await readFactsOf(scope, rows)
  const isAll = new Set(rows.map(({ member, id }) => `${member} ${id}`)).size === facts.length
  if (!isAll || facts.some(({ fact }) => !givenKinds.includes(fact.kind))) throw notFound('entry')
  // A deload may have begun, which only its member's plan can tell.
  for (const { member, fact } of facts)
    if (fact.kind === 'deload') await takeBack(scopes.get(member) as MemberScope, fact.id, today)
  await insertFacts(
    scope,
    facts
      .filter(({ fact }) => fact.kind !== 'deload' && !fact.void)
      .map(({ member, fact }) => ({
        scope: scopes.get(member) as MemberScope,
        fact: { ...fact, rev: fact.rev + 1, void: true as const },
      })),
  )
}

/** The members by their ids, each of whom has to be the writer’s own. */
async function ownScopes(
  scope: Scope,
  seat: Seat,
  members: string[],
  otherwise: string,
): Promise<Map<string, MemberScope>> {
  const ids = [...new Set(members)]
  const scopes = await memberScopes(scope, seat, { ids })
  if (scopes.length !== ids.length)
    throw new Problem('notAllowed', `Some of these members are not assigned to you. ${otherwise}`)
  return new Map(scopes.map((own) => [own.member, own]))
}
