import type { Knex } from 'knex'

/** Templates: a draft that is edited by commands, and versions that never change. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table template (
      gym_id uuid not null references gym,
      id uuid not null default gen_random_uuid(),
      draft jsonb not null,
      revision int not null default 0,
      created_at timestamptz not null default now(),
      primary key (gym_id, id)
    );
    comment on table template is 'A program that a writer edits.';
    comment on column template.draft is 'template format 1, after the last command';
    comment on column template.revision is 'number of commands applied';

    create table template_edit (
      gym_id uuid not null,
      template_id uuid not null,
      revision int not null,
      id uuid not null,
      staff_id uuid not null,
      command jsonb not null,
      at timestamptz not null default now(),
      primary key (gym_id, template_id, revision),
      unique (gym_id, id),
      foreign key (gym_id, template_id) references template (gym_id, id),
      foreign key (gym_id, staff_id) references staff (gym_id, id)
    );
    comment on table template_edit is 'Every command in order. A command that is sent twice is found by its id.';

    create table template_version (
      gym_id uuid not null,
      id uuid not null default gen_random_uuid(),
      template_id uuid not null,
      number int not null,
      note text not null,
      body jsonb not null,
      staff_id uuid not null,
      published_at timestamptz not null default now(),
      primary key (gym_id, id),
      unique (gym_id, template_id, number),
      foreign key (gym_id, template_id) references template (gym_id, id),
      foreign key (gym_id, staff_id) references staff (gym_id, id)
    );
    comment on table template_version is 'What was published; the application may insert and read it, nothing else.';
  `)
  for (const table of ['template', 'template_edit', 'template_version']) {
    await db.raw(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy own_gym on ${table} using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    `)
  }
  await db.raw(`
    grant select, insert, update on template to young_oak_app;
    grant select, insert on template_edit, template_version to young_oak_app;
  `)
}

/** Refuses: published versions are what members' history was shown by. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('002_templates is not taken back: restore a backup')
}
