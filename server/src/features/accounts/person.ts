// npm run person: adds a person to a gym, as the owner of the database, while there is no page for it.
import { randomBytes } from 'node:crypto'
import { parseArgs } from 'node:util'
import { connect } from '../../database/open.ts'
import { readOwnerUrl } from '../../settings.ts'
import { hashPassword } from './password.ts'

type Db = ReturnType<typeof connect>
type Given = Record<'gym' | 'zone' | 'unit' | 'role' | 'name' | 'email' | 'writer', string | undefined>

async function main(): Promise<void> {
  const text = { type: 'string' } as const
  const options = { gym: text, zone: text, unit: text, role: text, name: text, email: text, writer: text }
  const given = parseArgs({ options }).values as Given
  for (const name of ['gym', 'role', 'name', 'email'] as const)
    if (!given[name]) throw new Error(`--${name} is missing.`)
  if (!['owner', 'writer', 'member'].includes(given.role ?? ''))
    throw new Error('--role is owner, writer or member.')
  const db = connect(readOwnerUrl())
  try {
    await db.transaction((transaction) => add(transaction as unknown as Db, given))
  } finally {
    await db.destroy()
  }
}

async function add(db: Db, given: Given): Promise<void> {
  const { role, name, email, writer } = given
  const gym_id = await findGym(db, given)
  const account_id = await findAccount(db, email ?? '')
  if (role !== 'member') return void (await db('staff').insert({ gym_id, account_id, name, role }))
  const assigned =
    writer &&
    (await db('staff as s')
      .join('account as a', 'a.id', 's.account_id')
      .where({ 's.gym_id': gym_id, 'a.email': writer })
      .first('s.id'))
  if (writer && !assigned) throw new Error(`--writer: nobody with the address ${writer} works at this gym.`)
  await db('member').insert({ gym_id, account_id, name, writer_id: assigned?.id ?? null })
}

async function findGym(db: Db, { gym, zone, unit = 'kg' }: Given): Promise<string> {
  const found = await db('gym').where({ name: gym }).first('id')
  if (found) return found.id
  if (!zone || !Intl.supportedValuesOf('timeZone').includes(zone))
    throw new Error('A new gym needs --zone, such as Europe/London.')
  const [made] = await db('gym').insert({ name: gym, zone, unit }).returning('id')
  await db('place').insert({ gym_id: made.id, id: 'home', name: gym })
  return made.id
}

async function findAccount(db: Db, email: string): Promise<string> {
  const found = await db('account').whereRaw('lower(email) = lower(?)', [email]).first('id')
  if (found) return found.id
  const password = randomBytes(12).toString('base64url')
  const [made] = await db('account')
    .insert({ email, password_hash: await hashPassword(password) })
    .returning('id')
  process.stdout.write(`${email} signs in with ${password}\n`)
  return made.id
}

main().catch((error: Error) => {
  process.stderr.write(`Nobody was added. ${error.message}\n`)
  process.exit(2)
})
