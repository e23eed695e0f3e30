// What grows with a gym: a list of ten thousand members, and a member with three years behind them. Beside the demo's members, after all else.
import { pathToFileURL } from 'node:url'
import type { openPlanners as Open } from '@young-oak/server/planning/planners'
import { build, buildHeader } from '@young-oak/api/build'
import type { Figure } from './figure.ts'

type Psql = (database: string, statement: string) => string
const runs = 40

/** Gives one member the sessions of three years, all before the checkpoint that planning them has left. */
export function addYears(psql: Psql, database: string, gym: string): { member: string; sessions: number } {
  const member = psql(
    database,
    `select member_id from fold_checkpoint where gym_id = '${gym}' and kind = 'next' order by member_id limit 1`,
  )
  const own = `gym_id = '${gym}' and member_id = '${member}'`
  const before = `${own} and date <= (select through from fold_checkpoint where ${own} and kind = 'next')`
  const older = (table: string, columns: string, where: string): string =>
    `insert into ${table} select (jsonb_populate_record(row, ${columns})).* from ${table} row, generate_series(1, 30) k where ${where}`
  psql(
    database,
    `${older('session_log', `jsonb_build_object('id', row.id || '#' || k, 'date', row.date - 70 * k)`, `row.${before}`)};
     ${['session_start', 'set_entry']
       .map((table) => {
         const session = `jsonb_build_object('session_id', row.session_id || '#' || k)`
         return older(table, session, `${own} and row.session_id || '#1' in (select id from session_log)`)
       })
       .join(';')};
     analyze`,
  )
  const sessions = Number(psql(database, `select count(*) from session_log where ${own}`))
  return { member, sessions }
}

/** Reads and plans one member again and again in a thread. */
export async function benchYears(
  built: string,
  url: string,
  gym: string,
  { member, sessions }: { member: string; sessions: number },
): Promise<Figure[]> {
  const { openPlanners } = (await import(pathToFileURL(built).href)) as { openPlanners: typeof Open }
  const planners = openPlanners(url, 1)
  const today = new Date().toISOString().slice(0, 10)
  const once = () => planners.nextLoads({ gym, members: [member], today })
  try {
    for (let i = 0; i < 200; i++) await once()
    const what = `a member with ${sessions} sessions, read from the database with their checkpoint and planned`
    return [{ what, value: await median(once), budget: 5, unit: 'ms' }]
  } finally {
    await planners.close()
  }
}

/** Ten thousand members more, as many sessions each as a member has in two weeks. */
export function addMembers(psql: Psql, database: string, gym: string): void {
  const one = `(select l.id from session_log l where l.gym_id = '${gym}' and l.closed order by l.date desc, l.id limit 1)`
  psql(
    database,
    `${enrolled(gym, 'Member', 10_000)}
     insert into session_log select made.* from more m, generate_series(1, 6) k,
       (select * from session_log where gym_id = '${gym}' and id = ${one}) l,
       ${made('session_log', 'l', `'id', m.enrolment || ':' || k, 'member_id', m.id, 'enrolment_id', m.enrolment, 'date', current_date - 2 * k`)};
     insert into set_entry select made.* from more m, generate_series(1, 6) k,
       (select * from set_entry where gym_id = '${gym}' and session_id = ${one}) s,
       ${made('set_entry', 's', `'session_id', m.enrolment || ':' || k, 'member_id', m.id`)};
     analyze`,
  )
}

/** Very many members more, on a program and without sessions. */
export function addCrowd(psql: Psql, database: string, gym: string, count: number): void {
  psql(
    database,
    `${enrolled(gym, 'Crowd', count)}
     insert into fact select made.* from more m, (select * from fact where gym_id = '${gym}' limit 1) f,
       ${made('fact', 'f', `'member_id', m.id`)};
     analyze`,
  )
}

/** Members on a program, in a temporary table `more` as well. */
const enrolled = (gym: string, name: string, count: number): string =>
  `insert into member (gym_id, name) select '${gym}', '${name} ' || k from generate_series(1, ${count}) k;
     create temporary table more as select id, gen_random_uuid() as enrolment from member
       where gym_id = '${gym}' and name like '${name} %';
     insert into enrolment select made.* from more m, (select * from enrolment where gym_id = '${gym}' limit 1) e,
       ${made('enrolment', 'e', `'id', m.enrolment, 'member_id', m.id`)};
     insert into publication_member select made.* from more m, (select * from publication_member where gym_id = '${gym}' limit 1) p,
       ${made('publication_member', 'p', `'enrolment_id', m.enrolment, 'member_id', m.id`)};`

/** A row of a table with some columns said anew. */
const made = (table: string, row: string, columns: string): string =>
  `jsonb_populate_record(null::${table}, to_jsonb(${row}) || jsonb_build_object(${columns})) made`

/** The first page of the members' list, as the owner opens it. */
export async function benchList(base: string, email: string, password: string): Promise<Figure[]> {
  const headers = { 'content-type': 'application/json', [buildHeader]: String(build) }
  const body = JSON.stringify({ email, password })
  const signIn = () => fetch(`${base}/api/session`, { method: 'POST', headers, body })
  // A connection that was kept since the start may be closed by now.
  const signedIn = await signIn().catch(signIn)
  const cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? ''
  const once = async () => {
    const answer = await fetch(`${base}/api/members`, { headers: { ...headers, cookie } })
    if (answer.status !== 200) throw new Error(`GET /api/members: ${answer.status}`)
    await answer.text()
  }
  for (let i = 0; i < 10; i++) await once()
  return [
    {
      what: 'members of a gym of 10,000, first page of the list',
      value: await median(once),
      budget: 50,
      unit: 'ms',
    },
  ]
}

async function median(work: () => Promise<unknown>): Promise<number> {
  const times: number[] = []
  for (let i = 0; i < runs; i++) {
    const from = performance.now()
    await work()
    times.push(performance.now() - from)
  }
  return times.sort((a, b) => a - b)[runs / 2] as number
}
