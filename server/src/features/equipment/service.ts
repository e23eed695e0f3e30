import { inputOf } from '../training/planInput.ts'
import { randomUUID } from 'node:crypto'
import {
  ownPlace,
  type GivenEquipment,
  type GivenPlace,
  type GivenSetting,
  type OwnEquipment,
  type PlaceView,
} from '@young-oak/api/equipment'
import { readEquipment, type EquipmentBody, type FactBody } from '@young-oak/core/facts'
import { planMember } from '@young-oak/core/plan'
import { formatIssue } from '@young-oak/core/parsing'
import { addDays, type Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import { nextFactId } from '../training/factId.ts'
import { readMemberFile } from '../training/memberFile.ts'
import { insertFact, touchMember } from '../training/store.ts'
import { insertPlace, listPlaces, saveEquipment } from './store.ts'

export async function addPlace(scope: Scope, { name }: GivenPlace, day: Day): Promise<PlaceView[]> {
  if ((await listPlaces(scope, day)).length >= mostPlaces)
    throw new Problem('tooMany', `A gym has at most ${mostPlaces} places.`)
  await insertPlace(scope, `place-${randomUUID().slice(0, 8)}`, name)
  return listPlaces(scope, day)
}

/** The list of places is short, and has no pages. */
const mostPlaces = 50

/** What a place of the gym has from today on. */
export async function equipPlace(scope: Scope, place: string, given: GivenEquipment): Promise<PlaceView[]> {
  const places = await listPlaces(scope, given.today)
  if (!places.some(({ id }) => id === place)) throw notFound('place')
  await saveEquipment(scope, place, given.today, readWhole(scope, given.has))
  return listPlaces(scope, given.today)
}

/** The places that a member may train at, their own among them. */
export async function ownEquipment(scope: MemberScope, day: Day): Promise<OwnEquipment> {
  const { member } = (await readMemberFile(scope)).file
  const { evidence } = planMember(
    inputOf(scope, { member, enrolments: [], versions: {} }, { today: day, through: 'near' }),
  )
  const own = evidence.equipment[ownPlace]
  const places = await listPlaces(scope, day)
  return {
    places: [...places, { id: ownPlace, name: 'My own', has: own ?? null }],
    home: evidence.home,
    unit: evidence.unit,
  }
}

export async function equipOwn(scope: MemberScope, given: GivenEquipment): Promise<OwnEquipment> {
  await state(scope, { kind: 'equipment', place: ownPlace, ...readWhole(scope, given.has) }, given.today)
  return ownEquipment(scope, given.today)
}

/** Which place is home, and which unit the member reads. */
export async function choose(scope: MemberScope, given: GivenSetting): Promise<OwnEquipment> {
  const { home, unit, today } = given
  if (home !== undefined) {
    const { places } = await ownEquipment(scope, today)
    if (!places.some(({ id }) => id === home)) throw notFound('place')
    await state(scope, { kind: 'home', place: home }, today)
  }
  if (unit !== undefined) await state(scope, { kind: 'unit', unit }, today)
  return ownEquipment(scope, today)
}

/** Writes a fact of the member's that acts from today. */
async function state(scope: MemberScope, body: FactBody, day: Day): Promise<void> {
  const now = addDays(new Date().toISOString().slice(0, 10), 1)
  if (day > now) throw new Problem('inTheFuture', 'This cannot be dated after today.')
  await touchMember(scope)
  await insertFact(scope, { id: nextFactId(), rev: 1, date: day, actsFrom: day, ...body })
}

function readWhole({ library }: Scope, value: unknown): EquipmentBody {
  const { equipment, issues } = readEquipment(library, value)
  if (equipment) return equipment
  const errors = issues.map((issue) => ({ path: issue.path, message: formatIssue(issue) }))
  throw new Problem('notAsExpected', errors.map(({ message }) => message).join(' '), errors)
}
