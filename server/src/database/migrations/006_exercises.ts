import type { Knex } from 'knex'

/** The gym's own exercises, and a number that is raised whenever they change. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table exercise (
      gym_id uuid not null references gym,
      id text not null check (id ~ '^own:[a-z0-9-]{4,40}$'),
      body jsonb not null,
      created_at timestamptz not null default now(),
      primary key (gym_id, id)
    );
    comment on table exercise is 'An exercise of a gym. What loads are computed from never changes; what names one that is merged is read as the other.';

    alter table exercise enable row level security;
    alter table exercise force row level security;
    create policy own_gym on exercise using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert, update on exercise to young_oak_app;

    alter table gym add column library int not null default 0;
    comment on column gym.library is 'raised whenever an exercise of the gym is added, changed or merged';
  `)
}

/** Refuses: what templates and logs name would be lost. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('006_exercises is not taken back: restore a backup')
}
