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

    alter table gym add column join_token text;
    comment on column gym.join_token is 'behind the link by which people ask to join; it gives nobody a seat. Null where nobody may ask';
    create table join_request (
      gym_id uuid not null references gym,
      id uuid not null default gen_random_uuid(),
      account_id uuid not null references account,
      name text not null,
      asked_at timestamptz not null default now(),
      answered_at timestamptz,
      answered_by uuid,
      is_taken boolean,
      primary key (gym_id, id),
      foreign key (gym_id, answered_by) references staff (gym_id, id)
    );
    comment on table join_request is 'Somebody who asks to be a member, and what the owner has answered.';
    create unique index join_request_open on join_request (gym_id, account_id) where answered_at is null;
    alter table join_request enable row level security;
    alter table join_request force row level security;
    create policy own_gym on join_request using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);

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
    alter table member add column left_at timestamptz;
    comment on column member.left_at is 'trains here no longer since; what was trained stays, and the seat is taken up again by an invitation or the owner';
    create index member_here on member (gym_id, name, id) where left_at is null;
    -- Nobody logs for a seat that is over.
    do $$ begin
      execute replace(pg_get_functiondef('log_sets'::regproc), 'account_id = lifter.account', 'account_id = lifter.account and left_at is null');
    end $$;
    -- One person may own a gym and write its programs.
    alter table staff drop constraint staff_gym_id_account_id_key;
    alter table staff add unique (gym_id, account_id, role);

    grant select, insert, update, delete on set_up_code to young_oak_app;
    grant select, insert on invitation to young_oak_app;
    grant update (token_hash, ends_at, used_at, used_by, withdrawn_at) on invitation to young_oak_app;
    grant select, insert on join_request to young_oak_app;
    grant update (answered_at, answered_by, is_taken) on join_request to young_oak_app;
    grant select, update (used_at) on account_letter to young_oak_app;
  `)
}

/** Refuses: an account may hold two seats of a gym by now. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('012_people is not taken back: restore a backup')
}
