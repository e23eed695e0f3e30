import type { Knex } from 'knex'

/** Groups of a gym's members, by hand or by a rule that is asked on the day. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table member_group (
      gym_id uuid not null references gym,
      id uuid not null default gen_random_uuid(),
      name text not null,
      format int not null,
      rule json,
      primary key (gym_id, id)
    );
    comment on column member_group.rule is 'what a member has to fit; null where members are put in by hand';
    create unique index member_group_name on member_group (gym_id, lower(name));
    create table group_member (
      gym_id uuid not null references gym,
      group_id uuid not null,
      member_id uuid not null,
      primary key (gym_id, group_id, member_id),
      foreign key (gym_id, group_id) references member_group (gym_id, id) on delete cascade,
      foreign key (gym_id, member_id) references member (gym_id, id)
    );
    create index group_member_of on group_member (gym_id, member_id);
    do $$ begin
      execute replace(pg_get_functiondef('erase_member'::regproc), 'delete from assignment',
        'delete from group_member where gym_id = own and member_id = erased;
      delete from assignment');
    end $$;
  `)
  for (const table of ['member_group', 'group_member'])
    await db.raw(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy own_gym on ${table} using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    `)
  await db.raw(`
    grant select, insert, update, delete on member_group to young_oak_app;
    grant select, insert, delete on group_member to young_oak_app;
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    do $$ begin
      execute replace(pg_get_functiondef('erase_member'::regproc), 'delete from group_member where gym_id = own and member_id = erased;', '');
    end $$;
    drop table group_member;
    drop table member_group;
  `)
}
