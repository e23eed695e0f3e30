import type { Knex } from 'knex'

/** What lists and rules ask of a member, beside the facts that it is read from; and the day on which somebody joined. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table member_trait (
      gym_id uuid not null references gym,
      member_id uuid not null,
      name text not null,
      says text[] not null default '{}',
      amount numeric,
      primary key (gym_id, member_id, name),
      foreign key (gym_id, member_id) references member (gym_id, id)
    );
    comment on table member_trait is 'Read from the facts of a member whenever a rule asks; loads are in kg. It may be emptied at any time, with member.traits.';
    create index member_trait_named on member_trait (gym_id, name, member_id);
    alter table member add column traits int;
    comment on column member.traits is 'the gym''s library when the traits were read; null where facts, or what is merged into what, have changed since';
    alter table member add column joined_at timestamptz not null default now();
    comment on column member.joined_at is 'of members from before it was kept, the first day that anything is known of';
    update member m set joined_at = coalesce(least(
      (select min(a.from_at) from assignment a where a.gym_id = m.gym_id and a.member_id = m.id),
      (select min(l.date)::timestamptz from session_log l where l.gym_id = m.gym_id and l.member_id = m.id)), now());
    alter table member_trait enable row level security;
    alter table member_trait force row level security;
    create policy own_gym on member_trait using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert, delete on member_trait to young_oak_app;
    do $$ begin
      execute replace(pg_get_functiondef('erase_member'::regproc), 'delete from assignment',
        'delete from member_trait where gym_id = own and member_id = erased;
      delete from assignment');
    end $$;
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    do $$ begin
      execute replace(pg_get_functiondef('erase_member'::regproc), 'delete from member_trait where gym_id = own and member_id = erased;', '');
    end $$;
    drop table member_trait;
    alter table member drop column traits;
    alter table member drop column joined_at;
  `)
}
