import { readFileSync } from 'node:fs'
import { build, buildHeader } from '@young-oak/api/build'
import { once } from 'node:events'
import { demoAccounts } from '@young-oak/server/features/accounts/demoAccounts'
import { expect, open, test } from './site.ts'

const childrenOf = (pid: number | undefined): number[] =>
  readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').filter(Boolean).map(Number)

test('several processes serve one club, and one that is killed is replaced meanwhile', async ({
  request,
}) => {
  const { email, password } = demoAccounts[0] as (typeof demoAccounts)[number]
  const club = await open('processes', { processes: 2 })
  const { url, server, said } = club
  try {
    await expect.poll(said).toContain('in 2 processes')
    const entered = await request.post(`${url}/api/session`, {
      data: { email, password },
      headers: { [buildHeader]: String(build) },
    })
    expect(entered.status(), await entered.text()).toBe(200)
    const first = childrenOf(server.pid)
    expect(first).toHaveLength(2)
    process.kill(first[0] as number, 'SIGKILL')
    await expect.poll(() => childrenOf(server.pid).filter((pid) => !first.includes(pid))).toHaveLength(1)
    for (let i = 0; i < 20; i++) expect((await request.get(`${url}/api/members`)).status()).toBe(200)
  } finally {
    const ended = once(server, 'exit')
    await club.close()
    expect(await ended).toEqual([0, null])
  }
})
