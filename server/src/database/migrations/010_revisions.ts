import type { Knex } from 'knex'

/**
 * Rows of a member carry the revision that they were last changed at; a cached fold says what it was made from; a set is appended and nothing
 * else is written for it.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table gym add column revision bigint not null default 0;
    comment on column gym.revision is 'raised by every write to the gym''s exercises, locations and settings, in the same transaction';

    alter table member add column dirty_from date;
    comment on column member.dirty_from is 'the earliest day that was written for since the checkpoint was kept; a checkpoint of that day or later does not hold';

    alter table fact add column revision bigint not null default 0;
    alter table session_log add column revision bigint not null default 0, add column copied bigint not null default 0;
    alter table session_start add column member_id uuid, add column revision bigint not null default 0;
    alter table set_entry add column member_id uuid, add column revision bigint not null default 0;
    update session_start s set member_id = l.member_id from session_log l where l.gym_id = s.gym_id and l.id = s.session_id;
    update set_entry s set member_id = l.member_id from session_log l where l.gym_id = s.gym_id and l.id = s.session_id;
    alter table session_start alter column member_id set not null;
    alter table set_entry alter column member_id set not null;
    comment on column fact.revision is 'the member''s, as of this entry; 0 of entries before it was kept';
    comment on column session_log.revision is 'the member''s, as of the last start, answer or close';
    comment on column session_log.copied is 'the member''s revision up to which sets are in the copy; later ones are read from set_entry';
    comment on column session_start.revision is 'the member''s, as of this entry';
    comment on column set_entry.revision is 'the member''s, as of this entry';
    comment on table set_entry is 'Each acknowledged set, append-only: the truth of a session, whose copy is brought up to date when something else is written for it.';
    create index fact_by_revision on fact (gym_id, member_id, revision);
    create index session_log_by_revision on session_log (gym_id, member_id, revision);
    create index session_start_by_revision on session_start (gym_id, member_id, revision);
    create index set_entry_by_revision on set_entry (gym_id, member_id, revision);

    delete from fold_checkpoint;
    alter table fold_checkpoint add column revision bigint not null, add column gym_revision bigint not null;
    comment on column fold_checkpoint.revision is 'the member''s, as of what it was made from';
    comment on column fold_checkpoint.gym_revision is 'the gym''s, as of what it was made from';

    create function log_sets(of_gym uuid, sets jsonb, waits boolean) returns jsonb language plpgsql as $$
    declare
      lifter record;
      given record;
      had record;
      number bigint;
      trained date;
      earliest date;
      said text;
      answers jsonb := '[]';
    begin
      perform set_config('app.gym', of_gym::text, true);
      for lifter in
        select distinct (value->>'member')::uuid as id, (value->>'account')::uuid as account
        from jsonb_array_elements(sets) order by 1, 2
      loop
        if waits then
          select revision + 1 into number from member where id = lifter.id and account_id = lifter.account for update;
        else
          select revision + 1 into number from member where id = lifter.id and account_id = lifter.account for update skip locked;
        end if;
        earliest := null;
        for given in
          select ordinality as n, s.* from jsonb_array_elements(sets) with ordinality
            cross join jsonb_to_record(value) as s(
              member uuid, account uuid, session text, id text, rev int, change text, state text, format int, body jsonb)
          where member = lifter.id and account = lifter.account order by ordinality
        loop
          if number is null then
            said := case when waits then 'noSeat' else 'isHeld' end;
          else
            begin
              select date into trained from session_log where id = given.session and member_id = lifter.id;
              if not found then
                said := 'noSession';
              else
                select rev into had from set_entry where session_id = given.session and id = given.id order by rev desc limit 1;
                insert into set_entry (gym_id, session_id, id, rev, change, state, format, body, member_id, revision)
                  values (of_gym, given.session, given.id, given.rev, given.change, given.state, given.format, given.body, lifter.id, number)
                  on conflict (gym_id, session_id, id, rev, change) do nothing;
                if not found then
                  said := 'already had';
                else
                  said := case when had.rev >= given.rev then 'conflict' else 'stored' end;
                  earliest := least(earliest, trained);
                end if;
              end if;
            exception when others then
              said := 'failed ' || sqlstate;
            end;
          end if;
          answers := answers || jsonb_build_array(jsonb_build_object('n', given.n, 'said', said));
        end loop;
        if earliest is not null then
          update member set revision = number, dirty_from = least(dirty_from, earliest) where id = lifter.id;
        end if;
      end loop;
      return jsonb_build_object('answers', answers, 'library', (select library from gym where id = of_gym));
    end $$;
    comment on function log_sets is 'Appends sets of several members of one gym, each answered by itself. A member whose row somebody holds is passed over unless it waits.';
  `)
}

/** Refuses: sets that no copy has yet would be lost. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('010_revisions is not taken back: restore a backup')
}
