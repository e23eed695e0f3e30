import { describe, expect, test } from '@jest/globals'
import type { EditsAnswer } from '@young-oak/api/templates'
import { draftSync, mostAtOnce } from './draftSync.ts'
import type { Edit } from './editorSlice.ts'

const edit = (i: number): Edit => ({ id: `e${i}`, command: { do: 'setName', from: `${i}`, to: `${i + 1}` } })
const answer = (revision: number): EditsAnswer => ({ revision, answers: [], edits: [] })

/** A page with some edits waiting, and a server that answers when it is told to. */
function page(count: number, id = 'a') {
  const draft = { id, revision: 3, waiting: Array.from({ length: count }, (_, i) => edit(i)) }
  const seen: string[] = []
  const open: ((got: { data?: EditsAnswer; error?: unknown }) => void)[] = []
  const sync = draftSync('a', {
    now: () => draft,
    send: (since, edits) => {
      seen.push(`send ${edits.length} since ${since}`)
      return new Promise((resolve) => open.push(resolve))
    },
    merge: ({ revision }) => seen.push(`merge ${revision}`),
    away: () => seen.push('away'),
  })
  const told = async () => (await sync()) && seen.push('tell')
  return {
    draft,
    seen,
    sync: told,
    reply: (got: { data?: EditsAnswer; error?: unknown }) => open.shift()?.(got),
  }
}

describe('what waits of a draft', () => {
  test('is sent once at a time, joined when it is answered, and told to other tabs', async () => {
    const { seen, sync, reply } = page(2)
    const first = sync()
    await sync()
    expect(seen).toEqual(['send 2 since 3'])
    reply({ data: answer(5) })
    await first
    expect(seen).toEqual(['send 2 since 3', 'merge 5', 'tell'])
  })

  test('is sent again where it was not answered, and the page says that the server is away', async () => {
    const { seen, sync, reply } = page(1)
    const first = sync()
    reply({ error: { status: 'FETCH_ERROR' } })
    await first
    const second = sync()
    reply({ data: answer(4) })
    await second
    expect(seen).toEqual(['send 1 since 3', 'away', 'send 1 since 3', 'merge 4', 'tell'])
  })

  test('is sent in parts where there is much of it', async () => {
    const { seen, sync } = page(mostAtOnce + 7)
    void sync()
    expect(seen).toEqual([`send ${mostAtOnce} since 3`])
  })

  test('of another draft than the one that is open is left alone', async () => {
    const { draft, seen, sync, reply } = page(1)
    const first = sync()
    draft.id = 'b'
    reply({ data: answer(4) })
    await first
    expect(seen).toEqual(['send 1 since 3'])
  })
})

test('with nothing waiting a look takes in what is new, and says nothing of a server that is away', async () => {
  const { seen, sync, reply } = page(0)
  for (const got of [{ data: answer(3) }, { data: answer(9) }, { error: 'away' }]) {
    const look = sync()
    reply(got)
    await look
  }
  expect(seen).toEqual(['send 0 since 3', 'send 0 since 3', 'merge 9', 'send 0 since 3'])
})
