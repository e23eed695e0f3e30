// Publishing to ten thousand members, and what that would do to them, over HTTP as a writer's page does it.
import { randomUUID } from 'node:crypto'
import { build, buildHeader } from '@young-oak/api/build'
import type { ImpactView, PublicationView } from '@young-oak/api/publications'
import { wait } from '../cluster.mjs'
import type { Figure } from './figure.ts'

type Psql = (database: string, statement: string) => string

/** The ten thousand are assigned to the writer, looked at, looked at again after one of them has changed, published to, and taken back. */
export async function benchPublishing(
  psql: Psql,
  base: string,
  gym: string,
  { email, password }: { email: string; password: string },
): Promise<Figure[]> {
  const headers = { 'content-type': 'application/json', [buildHeader]: String(build) }
  const signedIn = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ email, password }),
  })
  const cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? ''
  const call = async <T>(method: string, path: string, body?: object): Promise<T> => {
    const answer = await fetch(`${base}/api${path}`, {
      method,
      headers: { ...headers, cookie },
      ...(body && { body: JSON.stringify(body) }),
    })
    if (answer.status !== 200) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`)
    return (await answer.json()) as T
  }
  psql(
    'bench',
    `insert into assignment (gym_id, member_id, staff_id) select m.gym_id, m.id, s.id from member m, staff s join account a on a.id = s.account_id
     where m.gym_id = '${gym}' and m.name like 'Member %' and s.gym_id = m.gym_id and a.email = '${email}'`,
  )
  const members = psql('bench', `select id from member where gym_id = '${gym}' and name like 'Member %'`)
    .split('\n')
    .filter(Boolean)
  const { items } = await call<{ items: { id: string; name: string }[] }>('GET', '/templates')
  const { id: template = '' } = items.find(({ name }) => name === 'Tideway base') ?? {}
  const { revision } = await call<{ revision: number }>('GET', `/templates/${template}`)
  const asked = () => ({
    id: randomUUID(),
    revision,
    members,
    start: new Date().toISOString().slice(0, 10),
    note: '',
  })
  const since = (from: number) => (performance.now() - from) / 1000

  const look = async (): Promise<{ first: number; whole: number }> => {
    const from = performance.now()
    let view = await call<ImpactView>('POST', `/templates/${template}/looks`, asked())
    let first = view.looked ? since(from) : 0
    // As the page asks.
    for (let pause = 400; view.state === 'running'; pause = view.looked ? 1000 : 400) {
      await wait(pause)
      view = await call<ImpactView>('GET', `/looks/${view.id}`)
      if (!first && view.looked) first = since(from)
    }
    if (view.looked !== members.length) throw new Error(`${view.looked} of ${members.length} were looked at`)
    return { first, whole: since(from) }
  }
  const { first, whole } = await look()
  psql('bench', `update member set revision = revision + 1 where id = '${members[0]}'`)
  const again = await look()

  const from = performance.now()
  let view = await call<PublicationView>('POST', `/templates/${template}/publications`, asked())
  const answered = since(from)
  while (view.state === 'preparing') {
    await wait(100)
    view = await call<PublicationView>('GET', `/publications/${view.id}`)
  }
  const inForce = since(from)
  const back = performance.now()
  await call('POST', `/publications/${view.id}/withdrawal`)
  const figure = (what: string, value: number, budget?: number): Figure => ({
    what,
    value,
    unit: 's',
    ...(budget !== undefined && { budget }),
  })
  return [
    figure('what publishing to 10,000 members would do, until the first are known', first, 1),
    figure('what it would do to all of them', whole, 10),
    figure('the same again after one member has changed', again.whole, 1),
    figure('publishing to 10,000 members, until it is written down', answered),
    figure('publishing to 10,000 members, until it is in force for all', inForce, 1),
    figure('taking it back', since(back), 1),
  ]
}
