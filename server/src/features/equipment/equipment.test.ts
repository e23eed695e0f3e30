import { afterAll, beforeAll, expect, test } from '@jest/globals'
import type { OwnEquipment, LocationView } from '@young-oak/api/equipment'
import type { TodayView } from '@young-oak/api/training'
import { publish } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { makeWorld, type Agent, type World } from '../../testing/world.ts'

let world: World
let owner: Agent
let phone: Agent
const today = '2026-03-02'
const bar = (unit: 'kg' | 'lb', weight: number, ...plates: number[]) => ({
  unit,
  bar: weight,
  plates: plates.map((one) => ({ weight: one, pairs: 1 })),
})
beforeAll(async () => {
  world = await makeWorld()
  const gym = await world.addGym('Here')
  await world.owner('location').insert({ gym_id: gym, id: 'home', name: 'The hall' })
  const writer = await world.addStaff(gym, 'writer', 'Will')
  owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
  const member = await world.addMember(gym, 'Mel', writer)
  const coach = await world.signIn(writer)
  const { id } = (await coach.post('/api/templates').send({ template: smallTemplate() })).body
  await publish(world, coach, id, { members: [member.id], start: today })
  phone = await world.signIn(member)
}, 120_000)
afterAll(() => world.end())

const equip = async (location: string, has: object): Promise<LocationView[]> =>
  (await owner.post(`/api/locations/${location}/equipment`).send({ has, today }).expect(200)).body
/** What the squat is asked at, where its progression starts everybody at 60 kg. */
const squat = async (location?: string): Promise<string> => {
  const at = location ? `&location=${location}` : ''
  const view: TodayView = (await phone.get(`/api/me/today?today=${today}${at}`).expect(200)).body
  const load = view.programs[0]?.plan.weeks[0]?.places[0]?.slots.find(({ slot }) => slot === 'squat')?.sets[0]
    ?.load
  return `${load?.value} ${load?.unit}`
}

test('what a place has makes the loads of everybody who trains there, and may be mended the same day', async () => {
  expect(await squat()).toBe('60 kg')
  await equip('home', { racks: [bar('kg', 20, 15)] })
  expect(await squat()).toBe('50 kg')
  const locations = await equip('home', { racks: [bar('kg', 20, 15, 5)] })
  expect(locations).toMatchObject([{ id: 'home', name: 'The hall', has: { racks: [{ bar: 20 }] } }])
  expect(await squat()).toBe('60 kg')
})

test('a place is added by its name; one that is not there cannot be equipped', async () => {
  const locations: LocationView[] = (
    await owner.post(`/api/locations?today=${today}`).send({ name: 'The shed' }).expect(200)
  ).body
  expect(locations.map(({ name, has }) => [name, has === null])).toEqual([
    ['The hall', false],
    ['The shed', true],
  ])
  await owner
    .post('/api/locations/nowhere/equipment')
    .send({ has: { racks: [bar('kg', 20)] }, today })
    .expect(404)
  await owner.post(`/api/locations?today=${today}`).send({ name: ' ' }).expect(422)
})

test.each([
  ['no bar', { racks: [{ unit: 'kg', plates: [{ weight: 5, pairs: 1 }] }] }, 'racks[0].bar'],
  [
    'a plate of nothing',
    { racks: [{ unit: 'kg', bar: 20, plates: [{ weight: 0, pairs: 1 }] }] },
    'racks[0].plates[0].weight',
  ],
  [
    'dumbbells that run backwards',
    { racks: [bar('kg', 20, 5)], fixed: [{ tool: 'dumbbells', unit: 'kg', loads: [5, 4] }] },
    'fixed[0].loads',
  ],
])('equipment with %s is refused, located', async (_, has, path) => {
  const answer = await owner.post('/api/locations/home/equipment').send({ has, today }).expect(422)
  expect(answer.body.errors.map((one: { path: string }) => one.path)).toContain(path)
})

test('a member trains on their own, at a place of the gym for once, and in the other unit', async () => {
  const view: OwnEquipment = (
    await phone
      .post('/api/me/equipment')
      .send({ has: { racks: [bar('kg', 15, 10)] }, today })
      .expect(200)
  ).body
  expect(view.locations.map(({ id }) => id)).toEqual(['home', expect.stringMatching(/^location-/), 'own'])
  expect(await squat()).toBe('60 kg')
  await phone.post('/api/me/settings').send({ home: 'own', today }).expect(200)
  expect([await squat(), await squat('home')]).toEqual(['35 kg', '60 kg'])
  await phone.post('/api/me/settings').send({ home: 'nowhere', today }).expect(404)
  await phone.post('/api/me/settings').send({ home: 'home', unit: 'lb', today }).expect(200)
  // The hall lists kilos alone, so what is asked there stays in kilos; the progression starts at its 135 lb, 61.235 kg.
  expect(await squat()).toBe('60 kg')
})
