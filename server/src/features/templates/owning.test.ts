import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { TemplateLine, TemplateView } from '@young-oak/api/templates'
import { operationFormat } from '@young-oak/api/operations'
import { publish, publishing } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { startOn } from '../../testing/training.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let gym: string
let will: Seated
let wanda: Seated
let author: Agent
let other: Agent
let id: string
const day = '2026-03-02'
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
  will = await world.addStaff(gym, 'writer', 'Will')
  wanda = await world.addStaff(gym, 'writer', 'Wanda')
  author = await world.signIn(will)
  other = await world.signIn(wanda)
}, 120_000)
afterAll(() => world.end())
beforeEach(async () => {
  id = (await author.post('/api/templates').send({ template: smallTemplate() }).expect(200)).body.id
})

const view = async (by: Agent): Promise<TemplateView> =>
  (await by.get(`/api/templates/${id}`).expect(200)).body
const line = async (by: Agent): Promise<TemplateLine | undefined> =>
  (await by.get('/api/templates').expect(200)).body.items.find((one: TemplateLine) => one.id === id)
const rename = async (by: Agent) => {
  const { draft, revision } = await view(by)
  const command = { do: 'setName', from: draft.name, to: `${draft.name}.` }
  const edits = [{ id: randomUUID(), command }]
  return by.post(`/api/templates/${id}/edits`).send({ since: revision, format: 2, edits })
}
const share = (editing: 'all' | 'named', editors: string[] = [], by = author) =>
  by.post(`/api/templates/${id}/sharing`).send({ editing, editors })
const archive = (isArchived: boolean, by = author) =>
  by.post(`/api/templates/${id}/archive`).send({ isArchived })

describe('a template', () => {
  test('is its author’s, and edited by every writer until the author names some', async () => {
    expect(await line(other)).toMatchObject({
      author: 'Will',
      mayEdit: true,
      isTheirs: false,
      isTrained: false,
    })
    expect((await rename(other)).status).toBe(200)
    await share('named').expect(200)
    expect(await line(other)).toMatchObject({ mayEdit: false })
    const refused = await rename(other)
    expect([refused.status, refused.body.code]).toEqual([403, 'notAllowed'])
    expect(refused.body.detail).toMatch(/Will/)
    await share('named', [wanda.id]).expect(200)
    expect((await view(author)).writers).toEqual([
      { id: wanda.id, name: 'Wanda', isAuthor: false, isNamed: true },
      { id: will.id, name: 'Will', isAuthor: true, isNamed: false },
    ])
    expect((await rename(other)).status).toBe(200)
    await share('all', [], other).expect(403)
    await archive(true, other).expect(403)
    await other.delete(`/api/templates/${id}`).expect(403)
  })

  test('that others may not edit is published to their members as it was published, not as it is now', async () => {
    const mel = await world.addMember(gym, 'Mel', will)
    const una = await world.addMember(gym, 'Una', wanda)
    await publish(world, author, id, { members: [mel.id], start: day })
    await share('named').expect(200)
    await publish(world, other, id, { members: [una.id], start: day })
    expect((await rename(author)).status).toBe(200)
    const asked = await publishing(other, id, { members: [una.id], start: day })
    await other.post(`/api/templates/${id}/publications`).send(asked).expect(403)
  })

  test('of an author who has left is every writer’s', async () => {
    const gone = await world.addStaff(gym, 'writer', 'Gil')
    const by = await world.signIn(gone)
    id = (await by.post('/api/templates').send({ template: smallTemplate() }).expect(200)).body.id
    await share('named', [], by).expect(200)
    expect((await rename(other)).status).toBe(403)
    await world.owner('staff').where({ id: gone.id }).update({ left_at: world.owner.fn.now() })
    expect(await line(other)).toMatchObject({ author: null, mayEdit: true, isTheirs: true })
    expect((await rename(other)).status).toBe(200)
    await archive(true, other).expect(200)
  })

  test('that is archived is neither edited nor published; whoever is on it goes on, and it comes back', async () => {
    const mel = await world.addMember(gym, 'Mel', will)
    const phone = await world.signIn(mel)
    await publish(world, author, id, { members: [mel.id], start: day })
    await archive(true).expect(200)
    expect(await line(author)).toMatchObject({ isArchived: true, members: 1 })
    expect((await rename(author)).body.code).toBe('notPossible')
    const asked = await publishing(author, id, { members: [mel.id], start: day })
    const refused = await author.post(`/api/templates/${id}/publications`).send(asked)
    expect(refused.body.code).toBe('notPossible')
    expect((await phone.get(`/api/me/today?today=${day}`).expect(200)).body.programs).toHaveLength(1)
    await archive(false).expect(200)
    expect((await rename(author)).status).toBe(200)
  })

  test('is deleted with what was published of it while nobody has trained on it, and not after', async () => {
    const mel = await world.addMember(gym, 'Mel', will)
    const phone = await world.signIn(mel)
    await publish(world, author, id, { members: [mel.id], start: day })
    await author.delete(`/api/templates/${id}`).expect(204)
    await author.get(`/api/templates/${id}`).expect(404)
    expect((await phone.get(`/api/me/today?today=${day}`).expect(200)).body.programs).toEqual([])

    id = (await author.post('/api/templates').send({ template: smallTemplate() }).expect(200)).body.id
    await publish(world, author, id, { members: [mel.id], start: day })
    const start = await startOn(phone, day)
    const operations = [{ id: randomUUID(), ...start }]
    await phone.post('/api/me/operations').send({ format: operationFormat, operations }).expect(200)
    expect(await line(author)).toMatchObject({ isTrained: true })
    const { body } = await author.delete(`/api/templates/${id}`).expect(422)
    expect(body.detail).toMatch(/archive it instead/)
  })

  test('is the owner’s to say too: who edits it, whose it is, and what becomes of it', async () => {
    const owner = await world.addStaff(gym, 'owner', 'Olga')
    const boss = await world.signIn(owner)
    await share('named', [], boss).expect(200)
    expect((await rename(other)).status).toBe(403)
    const handed = await boss
      .post(`/api/templates/${id}/sharing`)
      .send({ editing: 'named', editors: [], author: wanda.id })
      .expect(200)
    expect(handed.body).toMatchObject({ author: 'Wanda', editing: 'named' })
    expect(await line(other)).toMatchObject({ author: 'Wanda', isTheirs: true })
    expect((await rename(other)).status).toBe(200)
    expect((await rename(author)).status).toBe(403)
    await archive(true, boss).expect(200)
    await boss.delete(`/api/templates/${id}`).expect(204)
    // An owner reads what there is, and writes only where they have a seat as a writer.
    expect((await boss.get('/api/templates').expect(200)).body.items).toEqual(expect.any(Array))
    await boss.post('/api/templates').send({ template: smallTemplate() }).expect(403)
  })

  test('is edited by an owner who writes, whoever is named', async () => {
    await share('named').expect(200)
    const { account_id } = await world.owner('staff').where({ id: wanda.id }).first('account_id')
    const owns = { gym_id: gym, account_id, role: 'owner' }
    const [seat] = await world
      .owner('staff')
      .insert({ ...owns, name: 'Wanda' })
      .returning('id')
    expect(await line(other)).toMatchObject({ mayEdit: true, isTheirs: true })
    expect((await rename(other)).status).toBe(200)
    await world.owner('staff').where({ id: seat.id }).delete()
    expect((await rename(other)).status).toBe(403)
  })

  test('is handed to nobody but a writer of the gym', async () => {
    const gone = await world.addStaff(gym, 'writer', 'Gus')
    await world.owner('staff').where({ id: gone.id }).update({ left_at: world.owner.fn.now() })
    for (const to of [gone.id, (await world.addStaff(gym, 'owner', 'Oona')).id, randomUUID()]) {
      const { body } = await author
        .post(`/api/templates/${id}/sharing`)
        .send({ editing: 'all', editors: [], author: to })
        .expect(422)
      expect(body.code).toBe('doesNotFit')
    }
    expect(await line(author)).toMatchObject({ author: 'Will' })
  })

  test('is nobody’s in another gym', async () => {
    const there = await world.addGym('There')
    const stranger = await world.signIn(await world.addStaff(there, 'writer', 'Wim'))
    await share('all', [], stranger).expect(404)
    await archive(true, stranger).expect(404)
    await stranger.delete(`/api/templates/${id}`).expect(404)
    expect(await line(author)).toBeDefined()
  })
})
