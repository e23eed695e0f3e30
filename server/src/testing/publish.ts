import { randomUUID } from 'node:crypto'
import type { PublicationView, Publish } from '@young-oak/api/publications'
import type { Agent, World } from './world.ts'

/** What a writer's page sends to publish a template's draft as it stands. */
export async function publishing(
  coach: Agent,
  template: string,
  asked: Partial<Publish> & Pick<Publish, 'members' | 'start'>,
): Promise<Publish> {
  const { body } = await coach.get(`/api/templates/${template}`).expect(200)
  return { id: randomUUID(), revision: body.revision, note: '', ...asked }
}

/** Publishes, and dates it back to its first day: what is published today begins today, and tests live in another month. */
export async function publish(
  { owner }: Pick<World, 'owner'>,
  coach: Agent,
  template: string,
  asked: Partial<Publish> & Pick<Publish, 'members' | 'start'>,
): Promise<PublicationView> {
  const sent = await publishing(coach, template, asked)
  const { body } = await coach.post(`/api/templates/${template}/publications`).send(sent).expect(200)
  await owner('publication')
    .where({ id: sent.id })
    .update({ in_force_on: owner.ref('starts_on') })
  return body
}
