import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { LibraryView } from '@young-oak/api/exercises'
import type { EditsAnswer, TemplateView } from '@young-oak/api/templates'
import type { TodayView } from '@young-oak/api/training'
import type { OwnId } from '@young-oak/core/library'
import type { Template } from '@young-oak/core/template'
import { publish } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { anExercise } from '../../testing/exercise.ts'
import { makeWorld, type Agent, type World } from '../../testing/world.ts'

let world: World
let coach: Agent
let phone: Agent
let abroad: Agent
let member: string
const today = '2026-03-02'
const shove = anExercise('Barge squat')

beforeAll(async () => {
  world = await makeWorld()
  const [here, there] = [await world.addGym('Here'), await world.addGym('There')]
  await world.owner('location').insert({ gym_id: here, id: 'home', name: 'The hall' })
  const racks = [
    { unit: 'kg', bar: 20, plates: [20, 10, 5, 2.5, 1.25].map((weight) => ({ weight, pairs: 2 })) },
  ]
  await world
    .owner('location_equipment')
    .insert({ gym_id: here, location_id: 'home', acts_from: '2026-01-05', racks: JSON.stringify(racks) })
  const writer = await world.addStaff(here, 'writer', 'Will')
  const mel = await world.addMember(here, 'Mel', writer)
  member = mel.id
  coach = await world.signIn(writer)
  phone = await world.signIn(mel)
  abroad = await world.signIn(await world.addStaff(there, 'writer', 'Wim'))
}, 120_000)
afterAll(() => world.end())

const add = async (exercise: object, status = 200, by = coach) =>
  (await by.post('/api/exercises').send({ exercise }).expect(status)).body
const idOf = ({ exercises }: LibraryView, name: string): OwnId =>
  (Object.keys(exercises) as OwnId[]).find((id) => exercises[id]?.name === name) as OwnId
const listed = async (by = coach): Promise<LibraryView> => (await by.get('/api/exercises').expect(200)).body
const merge = (id: string, into: string | null, status = 200) =>
  coach.post(`/api/exercises/${id}/merge`).send({ into }).expect(status)
const draftOf = async (id: string, by = coach): Promise<Template> =>
  ((await by.get(`/api/templates/${id}`).expect(200)).body as TemplateView).draft
/** A template whose bench press is of this exercise, 80% of its max. */
const templateOf = (exercise: OwnId): Template => {
  const template = smallTemplate()
  const { bench } = template.slots
  return {
    ...template,
    slots: { ...template.slots, bench: { ...bench, exercise } as typeof bench },
  } as Template
}
const importAs = async (template: object, by = coach, status = 200): Promise<string> =>
  (await by.post('/api/templates').send({ template }).expect(status)).body.id

describe('the gym’s own exercises', () => {
  test('are added by staff under an id of their own, and read by everybody of the gym alone', async () => {
    const view: LibraryView = await add(shove)
    const id = idOf(view, 'Barge squat')
    expect(id).toMatch(/^own:[0-9a-f-]{36}$/)
    expect((await listed(phone)).exercises[id]).toEqual(shove)
    expect((await listed(abroad)).exercises).toEqual({})
    await add({ ...shove, name: 'Another' }, 403, phone)
  })

  test('every answer says which library it was made with', async () => {
    const before = (await phone.get(`/api/me/today?today=${today}`).expect(200)).headers['x-library']
    const { mark }: LibraryView = await add({ ...shove, name: 'Marked' })
    const after = (await phone.get(`/api/me/today?today=${today}`).expect(200)).headers['x-library']
    expect(after).toBe(mark)
    expect((await phone.get('/api/session').expect(200)).headers['x-library']).toBe(mark)
    expect(before).not.toBe(after)
  })

  test.each<[string, object, string, RegExp]>([
    ['a name of the library', { name: 'back squat' }, 'name', /called back squat already/],
    ['a name that the gym has', { name: 'BARGE SQUAT' }, 'name', /already/],
    ['no name', { name: ' ' }, 'name', /name, 1 to 80/],
    ['no muscle', { direct: [] }, 'direct', /1 to 8/],
    ['a muscle in full and by half', { indirect: ['quads'] }, '', /both in full and by half/],
    ['a parent that is nowhere', { parent: { exercise: 'nothing', percent: 80 } }, 'parent', /parent lift/],
    ['what no exercise has', { colour: 'green' }, 'colour', /one of the keys/],
  ])('with %s is refused beside its field', async (_, change, path, said) => {
    const { errors } = await add({ ...shove, name: 'Fresh', ...change }, 422)
    expect(errors[0].path).toBe(path)
    expect(errors[0].message).toMatch(said)
  })

  test('may be said anew, but not become something else', async () => {
    const id = idOf(await add({ ...shove, name: 'First word' }), 'First word')
    const say = (change: object, status: number) =>
      coach
        .post(`/api/exercises/${id}`)
        .send({ exercise: { ...shove, name: 'Last word', ...change } })
        .expect(status)
    expect(
      (await say({ cost: 2, parent: { exercise: 'backSquat', percent: 80 } }, 200)).body.exercises[id],
    ).toMatchObject({ name: 'Last word', cost: 2 })
    const refused = (await say({ tool: 'machine' }, 422)).body
    expect(refused.errors).toEqual([{ path: 'tool', message: expect.stringMatching(/merge this one/) }])
    await coach.post(`/api/exercises/own:nobody`).send({ exercise: shove }).expect(404)
  })

  test('of another gym cannot be named in an edit, a max or a file', async () => {
    const foreign = idOf(await add({ ...shove, name: 'Theirs' }, 200, abroad), 'Theirs')
    await importAs(templateOf(foreign), coach, 422)
    const max = {
      exercise: foreign,
      load: { value: 100, unit: 'kg' },
      reps: 1,
      formula: 'epley',
      date: today,
      today,
    }
    await phone.post('/api/me/maxes').send(max).expect(422)
    const id = await importAs(smallTemplate())
    const command = {
      do: 'setExercise',
      slot: 'bench',
      from: { exercise: 'benchPress' },
      to: { exercise: foreign },
    }
    await coach
      .post(`/api/templates/${id}/edits`)
      .send({ since: 0, edits: [{ id: randomUUID(), command }] })
      .expect(422)
  })
})

describe('merging', () => {
  const load = async (): Promise<string> => {
    const view: TodayView = (await phone.get(`/api/me/today?today=${today}`).expect(200)).body
    const prescribed = view.programs[0]?.plan.weeks[0]?.places[0]?.slots.find(({ slot }) => slot === 'bench')
      ?.sets[0]
    return prescribed?.load ? `${prescribed.load.value} ${prescribed.load.unit}` : 'asks for a max'
  }

  test('makes of two exercises one, in templates and in what was logged, until it is taken back', async () => {
    await add({ ...shove, name: 'Quay squat' })
    const view: LibraryView = await add({ ...shove, name: 'Squat on the quay' })
    const [kept, old] = [idOf(view, 'Quay squat'), idOf(view, 'Squat on the quay')]
    const id = await importAs(templateOf(old))
    await publish(world, coach, id, { members: [member], start: today })
    const max = {
      exercise: kept,
      load: { value: 100, unit: 'kg' },
      reps: 1,
      formula: 'epley',
      date: today,
      today,
    }
    await phone.post('/api/me/maxes').send(max).expect(200)
    expect(await load()).toBe('asks for a max')
    await merge(old, kept)
    expect(await load()).toBe('75 kg')
    expect((await draftOf(id)).slots.bench?.exercise).toBe(kept)
    // A page that was open still calls it by its old id.
    const command = {
      do: 'setExercise',
      slot: 'bench',
      from: { exercise: old },
      to: { exercise: 'frontSquat' },
    }
    const edits = { since: 0, edits: [{ id: randomUUID(), command }] }
    const answer: EditsAnswer = (await coach.post(`/api/templates/${id}/edits`).send(edits).expect(200)).body
    expect(answer.answers).toMatchObject([{ result: 'stored' }])
    expect((await draftOf(id)).slots.bench?.exercise).toBe('frontSquat')
    await merge(old, null)
    expect(await load()).toBe('asks for a max')
  })

  test('takes along what was merged before, and refuses what is no like thing', async () => {
    await add({ ...shove, name: 'One' })
    await add({ ...shove, name: 'Two' })
    const view: LibraryView = await add({ ...shove, name: 'Stack', tool: 'machine', reads: 'on the stack' })
    const [one, two, stack] = ['One', 'Two', 'Stack'].map((name) => idOf(view, name)) as [OwnId, OwnId, OwnId]
    expect((await merge(stack, one, 422)).body.detail).toMatch(/differ in the tool and what the load means/)
    await merge(one, one, 422)
    await merge(one, 'own:nobody', 422)
    await merge('own:nobody', one, 404)
    await merge(one, two)
    expect((await merge(two, one, 422)).body.detail).toMatch(/already merged into another/)
    await merge(two, 'frontSquat')
    const { exercises } = await listed()
    expect([exercises[one]?.mergedInto, exercises[two]?.mergedInto]).toEqual(['frontSquat', 'frontSquat'])
    // Its name was free meanwhile.
    await add({ ...shove, name: 'Two' })
    expect((await merge(two, null, 422)).body.errors[0].path).toBe('name')
  })
})

describe('a template file that brings exercises', () => {
  test('leaves them with the gym, once however often it is brought', async () => {
    const foreign = 'own:from-afar'
    const file = {
      ...templateOf(foreign),
      exercises: {
        [foreign]: { ...shove, name: 'Far squat', substitutes: ['own:nowhere', 'frontSquat'] },
        'own:from-afar-too': { ...shove, name: 'Far squat again', mergedInto: foreign },
      },
    }
    const first = await draftOf(await importAs(file, abroad), abroad)
    const second = await draftOf(await importAs(file, abroad), abroad)
    const { exercises } = await listed(abroad)
    const id = first.slots.bench?.exercise as OwnId
    expect(id).not.toBe(foreign)
    expect(second.slots.bench?.exercise).toBe(id)
    expect(exercises[id]).toEqual({ ...shove, name: 'Far squat', substitutes: ['frontSquat'] })
    expect(Object.values(exercises).filter(({ name }) => name.startsWith('Far squat'))).toHaveLength(1)
  })

  test('whose exercise is called like another is kept apart by its name', async () => {
    const file = {
      ...templateOf('own:other-kind'),
      exercises: { 'own:other-kind': { ...shove, name: 'Far squat', tool: 'machine' } },
    }
    await importAs(file, abroad)
    expect(idOf(await listed(abroad), 'Far squat (2)')).toBeDefined()
  })

  test('that merges what is no like thing is refused with its place', async () => {
    const exercises = { 'own:lost-one': { ...shove, name: 'Lost squat', mergedInto: 'legPress' } }
    const { errors } = (
      await abroad
        .post('/api/templates')
        .send({ template: { ...templateOf('own:lost-one'), exercises } })
        .expect(422)
    ).body
    expect(errors[0].path).toBe('exercises.own:lost-one.mergedInto')
  })

  test('or anything else nested without end is refused, and is no fault of ours', async () => {
    const deep = `{"template":${'['.repeat(100_000)}${']'.repeat(100_000)}}`
    const { status } = await abroad.post('/api/templates').set('content-type', 'application/json').send(deep)
    expect(status).toBe(400)
  })

  test('and has a fault leaves nothing', async () => {
    const before = await listed(abroad)
    const exercises = { 'own:lost-one': { ...shove, name: 'Lost squat' } }
    await importAs({ ...templateOf('own:lost-one'), phases: [], exercises }, abroad, 422)
    await importAs({ ...smallTemplate(), exercises: { 'own:lost-one': { name: 'Lost' } } }, abroad, 422)
    expect(await listed(abroad)).toEqual(before)
  })
})
