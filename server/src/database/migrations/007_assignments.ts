import type { Knex } from 'knex'

/** Which writers a member has, and had: several at once, each from a moment on. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table assignment (
      gym_id uuid not null,
      id uuid not null default gen_random_uuid(),
      member_id uuid not null,
      staff_id uuid not null,
      from_at timestamptz not null default now(),
      until_at timestamptz check (until_at >= from_at),
      primary key (gym_id, id),
      foreign key (gym_id, member_id) references member (gym_id, id),
      foreign key (gym_id, staff_id) references staff (gym_id, id)
    );
    comment on table assignment is 'A writer who may read and plan a member, from when, and until when; what is over stays.';
    create unique index assignment_in_force on assignment (gym_id, member_id, staff_id) where until_at is null;
    create index assignment_of_writer on assignment (gym_id, staff_id, member_id) where until_at is null;

    insert into assignment (gym_id, member_id, staff_id)
      select gym_id, id, writer_id from member where writer_id is not null;
    alter table member drop column writer_id;

    alter table assignment enable row level security;
    alter table assignment force row level security;
    create policy own_gym on assignment using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert on assignment to young_oak_app;
    grant update (until_at) on assignment to young_oak_app;
  `)
}

/** Refuses: a member may have several writers, and had others. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('007_assignments is not taken back: restore a backup')
}
