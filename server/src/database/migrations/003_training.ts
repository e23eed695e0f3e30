import type { Knex } from 'knex'

/** What members are on, what they state, and what they did. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table enrolment (
      gym_id uuid not null,
      id uuid not null default gen_random_uuid(),
      member_id uuid not null,
      template_id uuid not null,
      primary key (gym_id, id),
      unique (gym_id, member_id, template_id),
      foreign key (gym_id, member_id) references member (gym_id, id),
      foreign key (gym_id, template_id) references template (gym_id, id)
    );
    comment on table enrolment is 'A member on a template.';

    create table enrolment_segment (
      gym_id uuid not null,
      enrolment_id uuid not null,
      starts_on date not null,
      version_id uuid not null,
      primary key (gym_id, enrolment_id, starts_on),
      foreign key (gym_id, enrolment_id) references enrolment (gym_id, id),
      foreign key (gym_id, version_id) references template_version (gym_id, id)
    );
    comment on table enrolment_segment is 'Which version from which day; a session is planned under the segment of its day.';

    create table fact (
      gym_id uuid not null,
      member_id uuid not null,
      id text not null,
      rev int not null,
      change text not null,
      date date not null,
      body jsonb not null,
      recorded_at timestamptz not null default now(),
      primary key (gym_id, member_id, id, rev, change),
      foreign key (gym_id, member_id) references member (gym_id, id)
    );
    comment on table fact is 'Dated facts of a member, append-only; a correction names what it replaces.';
    comment on column fact.body is 'the whole entry, member format 1';

    create table session_log (
      gym_id uuid not null,
      id text not null,
      member_id uuid not null,
      enrolment_id uuid not null,
      date date not null,
      closed boolean not null default false,
      copy jsonb not null,
      started_at timestamptz not null default now(),
      primary key (gym_id, id),
      foreign key (gym_id, member_id) references member (gym_id, id),
      foreign key (gym_id, enrolment_id) references enrolment (gym_id, id)
    );
    create index session_log_of_member on session_log (gym_id, member_id, date);
    comment on table session_log is 'One row a session. Its compact copy is all that the planner reads.';
    comment on column session_log.copy is 'the session with its shown snapshot and every set that counts';

    create table set_entry (
      gym_id uuid not null,
      session_id text not null,
      id text not null,
      rev int not null,
      change text not null,
      body jsonb not null,
      recorded_at timestamptz not null default now(),
      primary key (gym_id, session_id, id, rev, change),
      foreign key (gym_id, session_id) references session_log (gym_id, id)
    );
    comment on table set_entry is 'Each acknowledged set, append-only; the same transaction updates the session''s copy.';
  `)
  for (const table of ['enrolment', 'enrolment_segment', 'fact', 'session_log', 'set_entry']) {
    await db.raw(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy own_gym on ${table} using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    `)
  }
  await db.raw(`
    grant select, insert on enrolment, enrolment_segment, fact, set_entry to young_oak_app;
    grant select, insert, update on session_log to young_oak_app;
  `)
}

/** Refuses: these are the members' logs. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('003_training is not taken back: restore a backup')
}
