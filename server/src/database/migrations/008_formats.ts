import type { Knex } from 'knex'

/**
 * Every stored document carries the number of its format in a column, and what statements ask of a document is a column too: no statement
 * reads a key inside a body after this one. Places where bars and plates are become locations.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table place rename to location;
    alter table place_equipment rename to location_equipment;
    alter table location_equipment rename column place_id to location_id;
    comment on column location_equipment.rev is 'raised where it was mended on the same day; plans made before are made anew';

    alter table template add column name text, add column weeks int, add column per_week int, add column slots int,
      add column content_hash text;
    update template set name = draft->>'name',
      weeks = (select sum(coalesce(p->'weeks'->>'least', p->>'weeks')::int)::int from jsonb_array_elements(draft->'phases') p),
      per_week = (draft->'phases'->0->>'perWeek')::int,
      slots = (select count(*)::int from jsonb_object_keys(draft->'slots'));
    alter table template alter column name set not null, alter column weeks set not null,
      alter column per_week set not null, alter column slots set not null;
    create index template_by_name on template (gym_id, name, id);
    comment on column template.draft is 'the draft after the last command, in the template format that it names';
    comment on column template.weeks is 'weeks of all phases on paper, the least of one that a trigger ends';
    comment on column template.per_week is 'sessions a week in the first phase';
    comment on column template.slots is 'how many exercises all sessions have';
    comment on column template.content_hash is 'format and hash of the draft as today''s format has it; equal to a version''s where nothing changed since';

    alter table template_version add column content_hash text;
    comment on column template_version.content_hash is 'as of a template; filled in for older versions when the database is brought up to date';

    alter table template_edit add column format int not null default 1;
    alter table template_edit alter column format drop default;
    comment on column template_edit.format is 'the format of the command';

    alter table fact add column format int not null default 1, add column kind text;
    alter table fact alter column format drop default;
    update fact set kind = case body->>'kind' when 'light' then 'deload' when 'skipLight' then 'skipDeload'
      when 'ceiling' then 'mostSets' else body->>'kind' end;
    alter table fact alter column kind set not null;
    drop index fact_kind;
    create index fact_kind on fact (gym_id, member_id, kind);
    comment on column fact.body is 'the whole entry, in the format beside it';
    comment on column fact.format is 'the member format of the entry';
    comment on column fact.kind is 'the kind of the entry, under its name of today';

    alter table session_log add column format int not null default 1;
    alter table session_log alter column format drop default;
    comment on column session_log.format is 'the member format of the copy; a snapshot carries its own';

    alter table set_entry add column format int not null default 1, add column state text;
    alter table set_entry alter column format drop default;
    update set_entry set state = body->>'state';
    alter table set_entry alter column state set not null;
    comment on column set_entry.format is 'the member format of the set';
    comment on column set_entry.state is 'done, failed or notDone';

    alter table fold_checkpoint add column through date;
    delete from fold_checkpoint;
    alter table fold_checkpoint alter column through set not null;
    comment on column fold_checkpoint.through is 'the last day that it has folded';
  `)
}

/** Refuses: what was written since is in a later format. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('008_formats is not taken back: restore a backup')
}
