import type { Knex } from 'knex'

/** Who of the staff looked at what of whom, and changed what. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table audit (
      gym_id uuid not null references gym,
      id bigint generated always as identity,
      at timestamptz not null default now(),
      day date not null,
      staff_id uuid not null,
      kind text not null check (kind in ('read', 'list', 'change')),
      what text not null,
      member_id uuid,
      filter text not null default '',
      count int,
      is_whole boolean not null default false,
      primary key (gym_id, id),
      foreign key (gym_id, staff_id) references staff (gym_id, id),
      foreign key (gym_id, member_id) references member (gym_id, id)
    );
    comment on table audit is 'Kept for good. It names people by their ids alone: who was deleted has no name any more.';
    comment on column audit.day is 'in the gym''s zone: a read is kept once a day, a list once a day and filter';
    comment on column audit.filter is 'of a list: which one';
    comment on column audit.count is 'of a list: how many lines were seen; of a change: how many people it was about, where that is not one member';
    comment on column audit.is_whole is 'of a list: it was seen to its end';
    create unique index audit_read on audit (gym_id, day, staff_id, what, member_id) where kind = 'read';
    create unique index audit_list on audit (gym_id, day, staff_id, what, filter) where kind = 'list';
    create index audit_of_member on audit (gym_id, member_id, id);
    alter table audit enable row level security;
    alter table audit force row level security;
    create policy own_gym on audit using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert on audit to young_oak_app;
    grant update (count, is_whole) on audit to young_oak_app;
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw('drop table audit')
}
