import type { Knex } from 'knex'

/** Accounts, gyms, the people in them and their places; both walls between gyms. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    do $$ begin
      if not exists (select from pg_roles where rolname = 'young_oak_app') then
        create role young_oak_app login nosuperuser nobypassrls nocreatedb nocreaterole;
      end if;
    end $$;

    create table account (
      id uuid primary key default gen_random_uuid(),
      email text not null,
      password_hash text not null,
      created_at timestamptz not null default now()
    );
    create unique index account_email on account (lower(email));
    comment on table account is 'A person who signs in. Belongs to no gym.';
    comment on column account.password_hash is 'argon2id';

    create table gym (
      id uuid primary key default gen_random_uuid(),
      name text not null,
      zone text not null,
      unit text not null check (unit in ('kg', 'lb'))
    );
    comment on table gym is 'A tenant.';
    comment on column gym.zone is 'IANA time zone';

    create table staff (
      gym_id uuid not null references gym,
      id uuid not null default gen_random_uuid(),
      account_id uuid not null references account,
      name text not null,
      role text not null check (role in ('owner', 'writer')),
      primary key (gym_id, id),
      unique (gym_id, account_id)
    );
    comment on table staff is 'An account as owner or writer of a gym.';

    create table member (
      gym_id uuid not null references gym,
      id uuid not null default gen_random_uuid(),
      account_id uuid references account,
      writer_id uuid,
      name text not null,
      revision bigint not null default 0,
      primary key (gym_id, id),
      unique (gym_id, account_id),
      foreign key (gym_id, writer_id) references staff (gym_id, id)
    );
    comment on table member is 'A person in one gym; all training data hang on it.';
    comment on column member.writer_id is 'the writer who may read and plan this member';
    comment on column member.revision is 'raised by every write to the member, in the same transaction';

    create table place (
      gym_id uuid not null references gym,
      id text not null,
      name text not null,
      primary key (gym_id, id)
    );
    create table place_equipment (
      gym_id uuid not null,
      place_id text not null,
      acts_from date not null,
      racks jsonb not null,
      fixed jsonb,
      primary key (gym_id, place_id, acts_from),
      foreign key (gym_id, place_id) references place (gym_id, id)
    );
    comment on table place_equipment is 'What a place has from a day on; never changed, only followed by a later one.';

    create table sign_in_session (sid varchar primary key, sess json not null, expire timestamp(6) not null);
    create index sign_in_session_expire on sign_in_session (expire);
    create table sign_in_attempt (key text primary key, hits int not null, resets_at timestamptz not null);
    comment on table sign_in_attempt is 'Attempts of an address on an account, by a hash of both, within a window.';

    alter table gym enable row level security;
    alter table gym force row level security;
    create policy own_gym on gym using (id = nullif(current_setting('app.gym', true), '')::uuid);
    create policy seats_of_account on gym for select using (
      exists (select from staff s where s.gym_id = gym.id and s.account_id = nullif(current_setting('app.account', true), '')::uuid)
      or exists (select from member m where m.gym_id = gym.id and m.account_id = nullif(current_setting('app.account', true), '')::uuid));
    create policy seats_of_account on staff for select
      using (account_id = nullif(current_setting('app.account', true), '')::uuid);
    create policy seats_of_account on member for select
      using (account_id = nullif(current_setting('app.account', true), '')::uuid);
  `)
  for (const table of ['staff', 'member', 'place', 'place_equipment']) {
    await db.raw(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy own_gym on ${table} using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    `)
  }
  await db.raw(`
    grant select, insert, update on gym, staff, member, place to young_oak_app;
    grant select, insert on place_equipment to young_oak_app;
    grant select, insert, update on account to young_oak_app;
    grant select, insert, update, delete on sign_in_session, sign_in_attempt to young_oak_app;
  `)
}

/** Refuses: taking these tables away takes every gym's people with them. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('001_tenants is not taken back: restore a backup')
}
