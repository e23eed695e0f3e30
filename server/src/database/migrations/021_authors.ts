import type { Knex } from 'knex'

/** Whose a template is, who may edit it, and that it can be archived, or deleted while nobody has trained on it. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table template add column author_id uuid;
    alter table template add foreign key (gym_id, author_id) references staff (gym_id, id);
    alter table template add column editing text not null default 'all' check (editing in ('all', 'named'));
    alter table template add column archived_at timestamptz;
    comment on column template.author_id is 'who made it; of templates from before it was kept, who edited or published it first';
    comment on column template.editing is 'whether every writer may edit it, or its author and those who are named';
    update template t set author_id = coalesce(
      (select e.staff_id from template_edit e where e.gym_id = t.gym_id and e.template_id = t.id order by e.revision limit 1),
      (select v.staff_id from template_version v where v.gym_id = t.gym_id and v.template_id = t.id order by v.number limit 1));
    create table template_editor (
      gym_id uuid not null references gym,
      template_id uuid not null,
      staff_id uuid not null,
      primary key (gym_id, template_id, staff_id),
      foreign key (gym_id, template_id) references template (gym_id, id),
      foreign key (gym_id, staff_id) references staff (gym_id, id)
    );
    alter table template_editor enable row level security;
    alter table template_editor force row level security;
    create policy own_gym on template_editor using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert, delete on template_editor to young_oak_app;

    -- What was published may be read and added to, nothing else; this alone takes it away, and looks itself whether anybody has trained on it.
    create function delete_template(gone uuid) returns boolean language plpgsql security definer set search_path = public, pg_temp as $$
    declare
      own uuid := nullif(current_setting('app.gym', true), '')::uuid;
    begin
      perform from template where gym_id = own and id = gone for update;
      if not found then return false; end if;
      if exists (select from enrolment e join session_log l on l.gym_id = e.gym_id and l.enrolment_id = e.id
        where e.gym_id = own and e.template_id = gone) then return false; end if;
      if exists (select from template_version v join session_start s on s.gym_id = v.gym_id and s.version_id = v.id
        where v.gym_id = own and v.template_id = gone) then return false; end if;
      perform from member where gym_id = own and id in (select m.member_id from publication_member m join publication p
        on p.gym_id = m.gym_id and p.id = m.publication_id where p.gym_id = own and p.template_id = gone) order by id for update;
      update member set revision = revision + 1 where gym_id = own and id in (select m.member_id from publication_member m join publication p
        on p.gym_id = m.gym_id and p.id = m.publication_id where p.gym_id = own and p.template_id = gone);
      delete from impact where gym_id = own and template_id = gone;
      delete from publication_member m using publication p
        where m.gym_id = own and p.gym_id = own and p.id = m.publication_id and p.template_id = gone;
      delete from publication where gym_id = own and template_id = gone;
      delete from enrolment where gym_id = own and template_id = gone;
      delete from template_version where gym_id = own and template_id = gone;
      delete from template_edit where gym_id = own and template_id = gone;
      delete from template_editor where gym_id = own and template_id = gone;
      delete from template where gym_id = own and id = gone;
      return true;
    end $$;
    revoke all on function delete_template(uuid) from public;
    grant execute on function delete_template(uuid) to young_oak_app;
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    drop function delete_template(uuid);
    drop table template_editor;
    alter table template drop column author_id, drop column editing, drop column archived_at;
  `)
}
