import type { Knex } from 'knex'

/** What a session showed stands with its starts, of which it may have several: one a phone. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table session_start (
      gym_id uuid not null,
      session_id text not null,
      change text not null,
      date date not null,
      minute int check (minute between 0 and 1439),
      location text,
      version_id uuid not null,
      shown jsonb not null,
      recorded_at timestamptz not null default now(),
      primary key (gym_id, session_id, change),
      foreign key (gym_id, session_id) references session_log (gym_id, id),
      foreign key (gym_id, version_id) references template_version (gym_id, id)
    );
    comment on table session_start is 'Each start of a session, append-only, with what its phone showed; the first by date, minute and change is the session''s.';
    comment on column session_start.minute is 'of the phone''s day; unknown of starts before it was sent';
    comment on column session_start.shown is 'the snapshot as it was sent; it carries its own format';

    insert into session_start (gym_id, session_id, change, date, location, version_id, shown)
      select gym_id, id, coalesce(copy->>'change', id), date, coalesce(copy->>'location', copy->>'place'),
        (shown->>'version')::uuid, shown
      from session_log where shown is not null;
    alter table session_log drop column shown;
    comment on column session_log.date is 'the day of its first start';

    delete from fold_checkpoint;

    alter table session_start enable row level security;
    alter table session_start force row level security;
    create policy own_gym on session_start using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert on session_start to young_oak_app;
  `)
}

/** Refuses: starts of several phones would be lost. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('009_starts is not taken back: restore a backup')
}
