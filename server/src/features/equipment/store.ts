import type { LocationView } from '@young-oak/api/equipment'
import type { EquipmentBody } from '@young-oak/core/facts'
import type { Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'

/** The gym's places with what each has on a day. */
export async function listLocations({ db }: Scope, day: Day): Promise<LocationView[]> {
  const { rows } = await db.raw(
    `select p.id, p.name, case when e.racks is null then null
         else json_strip_nulls(json_build_object('racks', e.racks, 'fixed', e.fixed)) end as has
     from location p left join lateral (
       select racks, fixed from location_equipment e
       where e.gym_id = p.gym_id and e.location_id = p.id and e.acts_from <= ? order by acts_from desc limit 1) e on true
     order by p.id <> 'home', p.name`,
    [day],
  )
  return rows
}

export async function insertLocation({ db, gym }: Scope, id: string, name: string): Promise<void> {
  await db('location').insert({ gym_id: gym, id, name })
  await db('gym').where({ id: gym }).increment('revision', 1)
}

/**
 * What a place has from a day on. Entered again on the same day it takes the place of what was entered before, under the next
 * revision, so that no cached plan goes on with the old one. The gym's revision is raised, which every member's plan is made from.
 */
export async function saveEquipment(
  { db, gym }: Scope,
  location: string,
  day: Day,
  { racks, fixed }: EquipmentBody,
): Promise<void> {
  const row = {
    gym_id: gym,
    location_id: location,
    acts_from: day,
    racks: JSON.stringify(racks),
    fixed: fixed ? JSON.stringify(fixed) : null,
  }
  await db('location_equipment')
    .insert(row)
    .onConflict(['gym_id', 'location_id', 'acts_from'])
    .merge({ racks: row.racks, fixed: row.fixed, rev: db.raw('location_equipment.rev + 1') })
  await db('gym').where({ id: gym }).increment('revision', 1)
}
