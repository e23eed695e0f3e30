import type { Knex } from 'knex'

/** Deleting what is known of a member: asked for, stopped, or done after fourteen days. Months of attendance stay, without a name. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table member add column erase_on date, add column erase_asked_by text check (erase_asked_by in ('member', 'owner')),
      add column erased_at timestamptz;
    comment on column member.erase_on is 'the day, in the gym''s zone, on which what is known of the member is deleted; until then it can be stopped';
    comment on column member.erase_asked_by is 'the member''s own word is for the member alone to take back';
    comment on column member.erased_at is 'nothing is known any more but that somebody trained here';

    create table attendance_month (
      gym_id uuid not null references gym,
      member_id uuid not null,
      month date not null,
      sessions int not null,
      primary key (gym_id, member_id, month),
      foreign key (gym_id, member_id) references member (gym_id, id)
    );
    comment on table attendance_month is 'In how many sessions of a month a member whose data was deleted has trained.';
    alter table attendance_month enable row level security;
    alter table attendance_month force row level security;
    create policy own_gym on attendance_month using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    grant select on attendance_month to young_oak_app;

    -- What hangs on an account goes with it, or forgets it, in whatever gym.
    alter table invitation drop constraint invitation_used_by_fkey;
    alter table invitation add foreign key (used_by) references account on delete set null;
    alter table join_request drop constraint join_request_account_id_fkey;
    alter table join_request add foreign key (account_id) references account on delete cascade;
    alter table account_letter drop constraint account_letter_account_id_fkey;
    alter table account_letter add foreign key (account_id) references account on delete cascade;

    -- Of the owner's role, since the application deletes nothing of what was trained. It does so only where the day has come.
    create function erase_member(erased uuid) returns boolean language plpgsql security definer set search_path = public, pg_temp as $$
    declare
      own uuid := nullif(current_setting('app.gym', true), '')::uuid;
      who uuid;
    begin
      select m.account_id into who from member m join gym g on g.id = m.gym_id
        where m.gym_id = own and m.id = erased and m.erased_at is null and m.erase_on <= (now() at time zone g.zone)::date
        for update of m;
      if not found then return false; end if;
      insert into attendance_month (gym_id, member_id, month, sessions)
        select l.gym_id, l.member_id, date_trunc('month', l.date)::date, count(*) from session_log l
        where l.gym_id = own and l.member_id = erased
          and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.state = 'done')
        group by 1, 2, 3;
      delete from set_entry where gym_id = own and member_id = erased;
      delete from session_start where gym_id = own and member_id = erased;
      delete from session_log where gym_id = own and member_id = erased;
      delete from fact where gym_id = own and member_id = erased;
      delete from fold_checkpoint where gym_id = own and member_id = erased;
      delete from impact_member where gym_id = own and member_id = erased;
      delete from assignment where gym_id = own and member_id = erased;
      update member set name = 'Deleted member', account_id = null, erase_on = null, erase_asked_by = null, erased_at = now(), left_at = coalesce(left_at, now()),
          revision = revision + 1, dirty_from = null
        where gym_id = own and id = erased;
      if who is null then return true; end if;
      delete from join_request where gym_id = own and account_id = who;
      delete from mail where gym_id = own and (account_id = who
        or invitation_id in (select id from invitation where gym_id = own and used_by = who));
      update invitation set name = 'Deleted member', email = null, used_by = null where gym_id = own and used_by = who;
      -- The seats of an account are seen in every gym.
      perform set_config('app.account', who::text, true);
      if not exists (select from staff where account_id = who) and not exists (select from member where account_id = who) then
        delete from sign_in_session where sess->>'account' = who::text;
        delete from account where id = who;
      end if;
      perform set_config('app.account', '', true);
      return true;
    end $$;
    revoke all on function erase_member(uuid) from public;
    grant execute on function erase_member(uuid) to young_oak_app;
  `)
}

/** Refuses: what was deleted does not come back. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('016_erasing is not taken back: restore a backup')
}
