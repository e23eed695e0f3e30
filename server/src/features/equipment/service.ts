import { inputOf } from '../training/planInput.ts'
import { randomUUID } from 'node:crypto'
import {
  ownLocation,
  type GivenEquipment,
  type GivenLocation,
  type GivenSetting,
  type OwnEquipment,
  type LocationView,
} from '@young-oak/api/equipment'
import { readEquipment, type EquipmentBody, type FactBody } from '@young-oak/core/facts'
import { planMember } from '@young-oak/core/plan'
import { formatIssue } from '@young-oak/core/parsing'
import { addDays, type Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import { nextFactId } from '@young-oak/api/factId'
import { readMemberFile } from '../training/memberFile.ts'
import { insertFact } from '../training/store.ts'
import { insertLocation, listLocations, saveEquipment } from './store.ts'

export async function addLocation(scope: Scope, { name }: GivenLocation, day: Day): Promise<LocationView[]> {
  if ((await listLocations(scope, day)).length >= mostLocations)
    throw new Problem('tooMany', `A gym has at most ${mostLocations} locations.`)
  await insertLocation(scope, `location-${randomUUID().slice(0, 8)}`, name)
  return listLocations(scope, day)
}

/** The list of locations is short, and has no pages. */
const mostLocations = 50

/** What a location of the gym has from today on. */
export async function equipLocation(
  scope: Scope,
  location: string,
  given: GivenEquipment,
): Promise<LocationView[]> {
  const locations = await listLocations(scope, given.today)
  if (!locations.some(({ id }) => id === location)) throw notFound('location')
  await saveEquipment(scope, location, given.today, readWhole(scope, given.has))
  return listLocations(scope, given.today)
}

/** The locations that a member may train at, their own among them. */
export async function ownEquipment(scope: MemberScope, day: Day): Promise<OwnEquipment> {
  const { member } = (await readMemberFile(scope)).file
  const { evidence } = planMember(
    inputOf(scope, { member, enrolments: [], versions: {} }, { today: day, through: 'near' }),
  )
  const own = evidence.equipment[ownLocation]
  const locations = await listLocations(scope, day)
  return {
    locations: [...locations, { id: ownLocation, name: 'My own', has: own ?? null }],
    home: evidence.home,
    unit: evidence.unit,
  }
}

export async function equipOwn(scope: MemberScope, given: GivenEquipment): Promise<OwnEquipment> {
  await state(
    scope,
    { kind: 'equipment', location: ownLocation, ...readWhole(scope, given.has) },
    given.today,
  )
  return ownEquipment(scope, given.today)
}

/** Which location is home, and which unit the member reads. */
export async function choose(scope: MemberScope, given: GivenSetting): Promise<OwnEquipment> {
  const { home, unit, today } = given
  if (home !== undefined) {
    const { locations } = await ownEquipment(scope, today)
    if (!locations.some(({ id }) => id === home)) throw notFound('location')
    await state(scope, { kind: 'home', location: home }, today)
  }
  if (unit !== undefined) await state(scope, { kind: 'unit', unit }, today)
  return ownEquipment(scope, today)
}

/** Writes a fact of the member's that acts from today. */
async function state(scope: MemberScope, body: FactBody, day: Day): Promise<void> {
  const now = addDays(new Date().toISOString().slice(0, 10), 1)
  if (day > now) throw new Problem('inTheFuture', 'This cannot be dated after today.')
  await insertFact(scope, { id: nextFactId(), rev: 1, date: day, actsFrom: day, ...body })
}

function readWhole({ library }: Scope, value: unknown): EquipmentBody {
  const { equipment, issues } = readEquipment(library, value)
  if (equipment) return equipment
  const errors = issues.map((issue) => ({ path: issue.path, message: formatIssue(issue) }))
  throw new Problem('notAsExpected', errors.map(({ message }) => message).join(' '), errors)
}
