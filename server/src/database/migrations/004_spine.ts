import type { Knex } from 'knex'

/** Clocks and tracks of enrolments, how a segment begins, the cache of folds, and snapshots apart from what changes. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table enrolment add column clock text not null default 'own' check (clock in ('own', 'calendar'));
    comment on column enrolment.clock is 'own: a week ends when its places are done; calendar: on its date';

    alter table enrolment_segment add column track text,
      add column begins text not null default 'week' check (begins in ('week', 'session'));
    comment on column enrolment_segment.track is 'a track of the version, or none';
    comment on column enrolment_segment.begins is 'with the next plan week that begins, or with the next session';

    alter table session_log add column shown jsonb;
    update session_log set shown = copy->'shown', copy = copy - 'shown';
    comment on column session_log.shown is 'the snapshot of what was shown, written once';
    comment on column session_log.copy is 'the session with every set that counts, without its snapshot';

    create table fold_checkpoint (
      gym_id uuid not null,
      member_id uuid not null,
      body jsonb not null,
      primary key (gym_id, member_id),
      foreign key (gym_id, member_id) references member (gym_id, id)
    );
    comment on table fold_checkpoint is 'A cache: where planning may take up the thread. It can be deleted at any time.';

    alter table fold_checkpoint enable row level security;
    alter table fold_checkpoint force row level security;
    create policy own_gym on fold_checkpoint using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert, update, delete on fold_checkpoint to young_oak_app;
  `)
}

/** Refuses: the clocks and tracks of members would be lost. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('004_spine is not taken back: restore a backup')
}
