import type { Knex } from 'knex'

/** Messages to people of a gym: sent where the server sends mail, and shown to the owner in either case. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table mail (
      gym_id uuid not null references gym,
      id uuid not null default gen_random_uuid(),
      key text not null,
      to_name text not null,
      to_address text not null,
      account_id uuid references account on delete cascade,
      invitation_id uuid,
      subject text not null,
      body text not null,
      path text,
      made_at timestamptz not null default now(),
      sent_at timestamptz,
      tries int not null default 0,
      fault text,
      primary key (gym_id, id),
      unique (gym_id, key),
      foreign key (gym_id, invitation_id) references invitation (gym_id, id)
    );
    comment on table mail is 'A message to somebody of a gym; never one that signs in or gives another password.';
    comment on column mail.key is 'what it is about, to whom and when: the same is written once';
    comment on column mail.path is 'where its link leads; gone once it was sent, or once the link is worth nothing';
    comment on column mail.fault is 'why it was not sent the last time';
    create index mail_latest on mail (gym_id, made_at desc, id desc);
    alter table mail enable row level security;
    alter table mail force row level security;
    create policy own_gym on mail using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select, insert on mail to young_oak_app;
    grant update (sent_at, tries, fault, path) on mail to young_oak_app;
    -- A letter for another password is made by the server where it sends mail.
    grant select, insert on account_letter to young_oak_app;
    alter table account_letter alter column made_at set default now();
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    drop table mail;
    revoke insert on account_letter from young_oak_app;
  `)
}
