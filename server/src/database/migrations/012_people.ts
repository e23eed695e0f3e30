import type { Knex } from 'knex'

/** How people come into a gym and leave it: the first set-up, invitations, and letters that give an account another password. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table set_up_code (
      is_one boolean primary key default true check (is_one),
      hash text not null,
      made_at timestamptz not null default now()
    );
    comment on table set_up_code is 'The code that the server printed for setting up the first gym; used once.';

    create table invitation (
      gym_id uuid not null references gym,
      id uuid not null default gen_random_uuid(),
      role text not null check (role in ('owner', 'writer', 'member')),
      name text not null,
      email text,
      writers uuid[] not null default '{}',
      token_hash text not null,
      made_by uuid not null,
      made_at timestamptz not null default now(),
      ends_at timestamptz not null,
      used_at timestamptz,
      used_by uuid references account,
      withdrawn_at timestamptz,
      primary key (gym_id, id),
      foreign key (gym_id, made_by) references staff (gym_id, id)
    );
    comment on table invitation is 'A seat that whoever signs in or signs up with its link is given, once.';
    comment on column invitation.email is 'whom it is meant for; it is asked of nobody';
    comment on column invitation.writers is 'staff who have the member from then on';
    create index invitation_open on invitation (gym_id, name, id) where used_at is null and withdrawn_at is null;
    alter table invitation enable row level security;
    alter table invitation force row level security;
    create policy own_gym on invitation using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);

    create table account_letter (
      token_hash text primary key,
      account_id uuid not null references account,
      made_at timestamptz not null default now(),
      ends_at timestamptz not null,
      used_at timestamptz
    );
    comment on table account_letter is 'A link by which the person of an account chooses another password, once. Belongs to no gym.';

    alter table staff add column left_at timestamptz;
    comment on column staff.left_at is 'the seat is over since; it is taken up again by an invitation';
    -- One person may own a gym and write its programs.
    alter table staff drop constraint staff_gym_id_account_id_key;
    alter table staff add unique (gym_id, account_id, role);

    grant select, insert, update, delete on set_up_code to young_oak_app;
    grant select, insert on invitation to young_oak_app;
    grant update (token_hash, ends_at, used_at, used_by, withdrawn_at) on invitation to young_oak_app;
    grant select, update (used_at) on account_letter to young_oak_app;
  `)
}

/** Refuses: an account may hold two seats of a gym by now. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('012_people is not taken back: restore a backup')
}
