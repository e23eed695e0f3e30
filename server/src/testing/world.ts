import { randomUUID } from 'node:crypto'
import { build, buildHeader } from '@young-oak/api/build'
import type { Express } from 'express'
import type { Knex } from 'knex'
import request from 'supertest'
import { connect, openDatabase, type Database } from '../database/open.ts'
import { migrate } from '../database/migrate.ts'
import { hashPassword } from '../features/accounts/password.ts'
import { makeApp } from '../http/app.ts'
import type { Settings } from '../settings.ts'

/** A database of its own, the app on it, and hands to put people into gyms. Dropped at the end of the suite. */
export type World = {
  app: Express
  /** The database as the server signs in to it, and an app on one that was opened otherwise. */
  url: string
  appOn(database: Database): Express
  database: Database
  /** As the database's owner, whom row-level security does not bind. */
  owner: Knex
  addGym(name: string): Promise<string>
  addStaff(gym: string, role: 'owner' | 'writer', name: string): Promise<Seated>
  addMember(gym: string, name: string, writer?: Seated): Promise<Seated>
  /** Everybody's. */
  password: string
  signIn(who: { email: string }): Promise<Agent>
  end(): Promise<void>
}
export type Seated = { id: string; email: string; account: string }
export type Agent = ReturnType<typeof request.agent>

const password = 'correct horse battery'

export async function makeWorld(change: Partial<Settings> = {}): Promise<World> {
  const admin = process.env.TEST_DATABASE_URL ?? ''
  const name = `t_${process.env.JEST_WORKER_ID ?? 1}_${Date.now()}_${randomUUID().slice(0, 6)}`
  const root = connect(admin)
  await root.raw(`create database ${name}`)
  const urlFor = (user: string) =>
    Object.assign(new URL(admin), { username: user, pathname: `/${name}` }).href
  const ownerUrl = urlFor(new URL(admin).username)
  await migrate(ownerUrl)
  const owner = connect(ownerUrl)
  const url = urlFor('young_oak_app')
  const database = openDatabase(url)
  const appOn = (own: Database) => makeApp(own, { ...settings, ...change }, '/nowhere')
  const app = appOn(database)
  const hashed = await hashPassword(password)
  const addAccount = async (email: string): Promise<string> =>
    (await owner('account').insert({ email, password_hash: hashed }).returning('id'))[0].id
  const emailOf = (person: string) => `${person.toLowerCase()}-${randomUUID().slice(0, 6)}@test.example`
  return {
    app,
    url,
    appOn,
    database,
    owner,
    password,
    addGym: async (gymName) =>
      (await owner('gym').insert({ name: gymName, zone: 'Europe/London', unit: 'kg' }).returning('id'))[0].id,
    addStaff: async (gym_id, role, person) => {
      const email = emailOf(person)
      const account = await addAccount(email)
      const [{ id }] = await owner('staff')
        .insert({ gym_id, account_id: account, name: person, role })
        .returning('id')
      return { id, email, account }
    },
    addMember: async (gym_id, person, writer) => {
      const email = emailOf(person)
      const account = await addAccount(email)
      const row = { gym_id, account_id: account, name: person }
      const [{ id }] = await owner('member').insert(row).returning('id')
      if (writer) await owner('assignment').insert({ gym_id, member_id: id, staff_id: writer.id })
      return { id, email, account }
    },
    signIn: async ({ email }) => {
      const agent = request.agent(app).set(buildHeader, String(build))
      await agent.post('/api/session').send({ email, password }).expect(200)
      return agent
    },
    end: async () => {
      await database.close()
      await owner.destroy()
      await root.raw(`drop database ${name} with (force)`)
      await root.destroy()
    },
  }
}

export const settings: Settings = {
  databaseUrl: '',
  sessionSecret: 'a secret of at least thirty-two characters',
  port: 0,
  host: '127.0.0.1',
  publicUrl: 'http://127.0.0.1',
  demo: false,
  smtp: null,
  trustedProxies: 0,
  signInAttempts: 5,
  signInAttemptsOverall: 1000,
  heldToContracts: true,
}
