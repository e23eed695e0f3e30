import type { Scope } from '../../database/scope.ts'
import type { Seat } from '../../http/seat.ts'

export type Account = { id: string; password_hash: string }

export async function findAccount(
  { db }: Scope,
  by: { id: string } | { email: string },
): Promise<Account | undefined> {
  const accounts = db('account').select('id', 'password_hash')
  return ('id' in by ? accounts.where(by) : accounts.whereRaw('lower(email) = lower(?)', [by.email])).first()
}

/** The address that an account signs in by. */
export async function addressOf({ db }: Scope, id: string): Promise<string | undefined> {
  return (await db('account').where({ id }).first('email'))?.email
}

/** A new account; nothing where the address has one. */
export async function insertAccount(
  { db }: Scope,
  email: string,
  password_hash: string,
): Promise<string | undefined> {
  const [made] = await db('account').insert({ email, password_hash }).onConflict().ignore().returning('id')
  return made?.id
}

/** Gives an account another address; false where that is somebody else's. */
export async function saveAddress({ db }: Scope, id: string, email: string): Promise<boolean> {
  const { rowCount } = await db.raw(
    `update account set email = ? where id = ? and not exists (
       select from account other where lower(other.email) = lower(?) and other.id <> account.id)`,
    [email, id, email],
  )
  return rowCount === 1
}

/** Gives an account another password, and ends its sign-ins but the one that asked for it. */
export async function savePassword(
  { db }: Scope,
  id: string,
  password_hash: string,
  kept?: string,
): Promise<void> {
  await db('account').where({ id }).update({ password_hash })
  const others = db('sign_in_session').whereRaw(`sess->>'account' = ?`, [id])
  await (kept === undefined ? others : others.whereNot({ sid: kept })).delete()
}

/** Keeps the hash of a link for a new password, which works for an hour. */
export async function insertLetter({ db }: Scope, account_id: string, token_hash: string): Promise<void> {
  await db('account_letter').insert({ account_id, token_hash, ends_at: db.raw(`now() + interval '1 hour'`) })
}

/** How many links were made for an account in the last hour. */
export async function countLetters({ db }: Scope, account_id: string): Promise<number> {
  const [row] = await db('account_letter')
    .where({ account_id })
    .andWhereRaw(`made_at > now() - interval '1 hour'`)
    .count('token_hash as n')
  return Number(row?.n)
}

/** Uses up a letter that is not over, and answers whose it is. */
export async function useLetter({ db }: Scope, token_hash: string): Promise<string | undefined> {
  const [used] = await db('account_letter')
    .where({ token_hash, used_at: null })
    .andWhere('ends_at', '>', db.fn.now())
    .update({ used_at: db.fn.now() })
    .returning('account_id')
  return used?.account_id
}

/** All seats of the account that the scope is set to, staff before member. */
export async function listSeats({ db }: Scope, account: string): Promise<Seat[]> {
  const staff = await db('staff as s')
    .join('gym as g', 'g.id', 's.gym_id')
    .where({ 's.account_id': account, 's.left_at': null })
    .select<Seat[]>('s.gym_id as gym', 'g.name as gymName', 's.role as kind', 's.id', 's.name')
    .orderBy('g.name')
  const member = await db('member as m')
    .join('gym as g', 'g.id', 'm.gym_id')
    .where({ 'm.account_id': account, 'm.left_at': null })
    .select<Seat[]>('m.gym_id as gym', 'g.name as gymName', db.raw("'member' as kind"), 'm.id', 'm.name')
    .orderBy('g.name')
  return [...staff, ...member]
}

/**
 * Whether a seat still belongs to the account: a role that was removed ends with the next request. Answers the number of the gym's
 * library, or nothing.
 */
export async function findSeat({ db }: Scope, account: string, seat: Seat): Promise<number | undefined> {
  const table = seat.kind === 'member' ? 'member' : 'staff'
  const found = await db(`${table} as s`)
    .join('gym as g', 'g.id', 's.gym_id')
    .where({ 's.id': seat.id, account_id: account })
    .where({ 's.left_at': null, ...(seat.kind !== 'member' && { 's.role': seat.kind }) })
    .first('g.library')
  return found?.library
}
