// npm run person: adds a person to a gym, as the owner of the database, while there is no page for it.
import { randomBytes, randomUUID } from 'node:crypto'
import { parseArgs } from 'node:util'
import { connect } from '../../database/open.ts'
import { readOwnerUrl } from '../../settings.ts'
import { hashPassword } from './password.ts'

type Db = ReturnType<typeof connect>
type Given = Record<
  'gym' | 'newGym' | 'zone' | 'unit' | 'role' | 'name' | 'email' | 'writer',
  string | undefined
>

async function main(): Promise<void> {
  const text = { type: 'string' } as const
  const options = {
    gym: text,
    'new-gym': text,
    zone: text,
    unit: text,
    role: text,
    name: text,
    email: text,
    writer: text,
  }
  const { 'new-gym': newGym, ...rest } = parseArgs({ options }).values
  const given = { ...rest, newGym } as Given
  for (const name of ['role', 'name', 'email'] as const)
    if (!given[name]) throw new Error(`--${name} is missing.`)
  if (!given.gym === !given.newGym)
    throw new Error('Say --gym with its id, or --new-gym with its name and --zone.')
  if (!['owner', 'writer', 'member'].includes(given.role ?? ''))
    throw new Error('--role is owner, writer or member.')
  const db = connect(readOwnerUrl())
  try {
    const said: string[] = []
    await db.transaction((transaction) => add(transaction as unknown as Db, given, said))
    // Only what has been stored is said.
    for (const line of said) process.stdout.write(`${line}\n`)
  } finally {
    await db.destroy()
  }
}

/** Row-level security binds the owner as well: the gym is set before anything of it is read or written. */
async function add(db: Db, given: Given, said: string[]): Promise<void> {
  const { role, name, email, writer } = given
  const gym_id = given.gym ?? randomUUID()
  await db.raw("select set_config('app.gym', ?, true)", [gym_id])
  if (given.newGym) await addGym(db, gym_id, given, said)
  else if (!(await db('gym').first('id'))) throw new Error(`--gym: there is no gym ${gym_id}.`)
  const account_id = await findAccount(db, email ?? '', said)
  if (role !== 'member') return void (await db('staff').insert({ gym_id, account_id, name, role }))
  const staff_id = writer ? await findWriter(db, writer) : null
  const [{ id: member_id }] = await db('member').insert({ gym_id, account_id, name }).returning('id')
  if (staff_id) await db('assignment').insert({ gym_id, member_id, staff_id })
}

async function addGym(
  db: Db,
  id: string,
  { newGym: name, zone, unit = 'kg' }: Given,
  said: string[],
): Promise<void> {
  if (!zone || !Intl.supportedValuesOf('timeZone').includes(zone))
    throw new Error('A new gym needs --zone, such as Europe/London.')
  if (unit !== 'kg' && unit !== 'lb') throw new Error('--unit is kg or lb.')
  await db('gym').insert({ id, name, zone, unit })
  await db('location').insert({ gym_id: id, id: 'home', name })
  said.push(`${name} is the gym ${id}`)
}

async function findWriter(db: Db, email: string): Promise<string> {
  const found = await db('staff as s')
    .join('account as a', 'a.id', 's.account_id')
    .where({ 'a.email': email, 's.role': 'writer' })
    .first('s.id')
  if (!found) throw new Error(`--writer: no writer of this gym has the address ${email}.`)
  return found.id
}

async function findAccount(db: Db, email: string, said: string[]): Promise<string> {
  const found = await db('account').whereRaw('lower(email) = lower(?)', [email]).first('id')
  if (found) return found.id
  const password = randomBytes(12).toString('base64url')
  const [made] = await db('account')
    .insert({ email, password_hash: await hashPassword(password) })
    .returning('id')
  said.push(`${email} signs in with ${password}`)
  return made.id
}

main().catch((error: Error) => {
  process.stderr.write(`Nobody was added. ${error.message}\n`)
  process.exit(2)
})
