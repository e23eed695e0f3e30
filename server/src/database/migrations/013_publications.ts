import type { Knex } from 'knex'

/**
 * What was published to whom, in the place of segments: a publication can be taken back, or replaced by another, and of several the gym's
 * highest number counts. What stood in segments becomes publications.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table publication (
      gym_id uuid not null references gym,
      id uuid not null,
      number int,
      after int not null,
      template_id uuid not null,
      version_id uuid not null,
      revision int not null,
      starts_on date not null,
      begins text not null check (begins in ('week', 'session')),
      clock text not null check (clock in ('own', 'calendar')),
      again boolean not null default false,
      others text not null check (others in ('beside', 'replace')),
      replaces uuid,
      note text not null,
      state text not null check (state in ('preparing', 'inForce', 'withdrawn', 'cancelled')),
      audience int not null,
      made_by uuid not null,
      made_at timestamptz not null default now(),
      in_force_on date,
      ended_on date,
      ended_by uuid,
      primary key (gym_id, id),
      unique (gym_id, number),
      check (state in ('preparing', 'cancelled') or (number is not null and in_force_on is not null)),
      check (state in ('preparing', 'inForce') or (ended_on is not null and ended_by is not null)),
      foreign key (gym_id, template_id) references template (gym_id, id),
      foreign key (gym_id, version_id) references template_version (gym_id, id),
      foreign key (gym_id, replaces) references publication (gym_id, id),
      foreign key (gym_id, made_by) references staff (gym_id, id),
      foreign key (gym_id, ended_by) references staff (gym_id, id)
    );
    comment on table publication is 'A version given to members: who, when, to whom. Never deleted; taken back by its state.';
    comment on column publication.id is 'made by the page, so that one sent twice is one';
    comment on column publication.number is 'the gym''s, as it came into force: of several the highest counts';
    comment on column publication.after is 'the gym''s highest number when it was written down';
    comment on column publication.revision is 'the draft''s, as the writer saw it';
    comment on column publication.starts_on is 'as it was asked for; it begins no earlier than in_force_on';
    comment on column publication.clock is 'of enrolments that it makes';
    comment on column publication.others is 'whether other programs of these members end as it begins';
    comment on column publication.again is 'whether members who have the program start it anew, as a run of its own, in the place of changing over';
    comment on column publication.audience is 'members as it was asked for';
    comment on column publication.in_force_on is 'the day in the gym''s zone on which it came into force';
    comment on column publication.ended_on is 'the day in the gym''s zone on which it was taken back, or called off';
    create index publication_of_template on publication (gym_id, template_id, made_at);

    create table publication_member (
      gym_id uuid not null,
      publication_id uuid not null,
      member_id uuid not null,
      enrolment_id uuid,
      sets_track boolean not null,
      track text,
      ends uuid[] not null default '{}',
      primary key (gym_id, publication_id, member_id),
      foreign key (gym_id, publication_id) references publication (gym_id, id),
      foreign key (gym_id, member_id) references member (gym_id, id),
      foreign key (gym_id, enrolment_id) references enrolment (gym_id, id)
    );
    comment on table publication_member is 'What a publication says of one member; nothing of it counts before the publication is in force.';
    comment on column publication_member.enrolment_id is 'the one that it makes or changes; null until that is filled in';
    comment on column publication_member.sets_track is 'whether it says the track, which may be none; else the track stays';
    comment on column publication_member.ends is 'enrolments that are over from its day on';
    create index publication_member_of on publication_member (gym_id, member_id);

    create table impact (
      gym_id uuid not null references gym,
      id uuid not null,
      staff_id uuid not null,
      template_id uuid not null,
      revision int not null,
      look text not null,
      asked json not null,
      members uuid[] not null,
      today date not null,
      state text not null check (state in ('running', 'done', 'cancelled', 'failed')),
      made_at timestamptz not null default now(),
      primary key (gym_id, id),
      foreign key (gym_id, staff_id) references staff (gym_id, id),
      foreign key (gym_id, template_id) references template (gym_id, id)
    );
    comment on table impact is 'A look at what publishing would do, before it is done. Thrown away after a day.';
    comment on column impact.revision is 'the draft''s that was looked at';
    comment on column impact.look is 'the same for looks at the same draft with the same settings on the same day';
    comment on column impact.asked is 'how it would be published; the members stand beside';
    create table impact_member (
      gym_id uuid not null,
      look text not null,
      member_id uuid not null,
      revision int not null,
      gym_revision int not null,
      is_what text not null check (is_what in ('starts', 'moves', 'same', 'done')),
      jump int not null,
      needs int not null,
      short int not null,
      longer int not null,
      findings int not null,
      beside int not null,
      ends int not null,
      is_mid_week boolean not null,
      is_deload boolean not null,
      body json not null,
      made_at timestamptz not null default now(),
      primary key (gym_id, look, member_id),
      foreign key (gym_id, member_id) references member (gym_id, id)
    );
    comment on table impact_member is 'What a look found for one member; it holds while member and gym are at these revisions. Thrown away after a day.';

    create temp table made on commit drop as
      select s.gym_id, s.version_id, s.starts_on, s.begins, gen_random_uuid() as id, count(*)::int as audience,
        row_number() over (partition by s.gym_id order by v.published_at, v.number, s.starts_on, s.begins, s.version_id) as number
      from enrolment_segment s join template_version v on v.gym_id = s.gym_id and v.id = s.version_id
      group by s.gym_id, s.version_id, s.starts_on, s.begins, v.published_at, v.number;
    insert into publication (gym_id, id, number, after, template_id, version_id, revision, starts_on, begins, clock, others, note, state, audience,
        made_by, made_at, in_force_on)
      select m.gym_id, m.id, m.number, m.number - 1, v.template_id, v.id, 0, m.starts_on, m.begins, 'own', 'beside', v.note, 'inForce', m.audience,
        v.staff_id, v.published_at, least(m.starts_on, (v.published_at at time zone g.zone)::date)
      from made m join template_version v on v.gym_id = m.gym_id and v.id = m.version_id join gym g on g.id = m.gym_id;
    insert into publication_member (gym_id, publication_id, member_id, enrolment_id, sets_track, track)
      select s.gym_id, m.id, e.member_id, e.id, true, s.track
      from enrolment_segment s
      join enrolment e on e.gym_id = s.gym_id and e.id = s.enrolment_id
      join made m on m.gym_id = s.gym_id and m.version_id = s.version_id and m.starts_on = s.starts_on and m.begins = s.begins;
    drop table enrolment_segment;

    -- A program may be trained again, as a run of its own; and training may be of no program.
    alter table enrolment drop constraint enrolment_gym_id_member_id_template_id_key;
    create index enrolment_of on enrolment (gym_id, member_id);
    create index enrolment_on on enrolment (gym_id, template_id);
    alter table session_log alter column enrolment_id drop not null;
    create index session_log_of_enrolment on session_log (gym_id, enrolment_id);

    alter table fact add column ends_enrolment text;
    comment on column fact.ends_enrolment is 'the enrolment that is over from acts_from on, of a fact that says so and was not taken back';
    alter table fact add column acts_from date;
    comment on column fact.acts_from is 'the day from which it acts; of facts before it was kept, null';
    create index fact_ending on fact (gym_id, member_id) where ends_enrolment is not null;

    create index session_start_of_version on session_start (gym_id, member_id, version_id, date);

    -- Taken back, a publication counts on for whoever had started under it by that day.
    create view counting_publication with (security_invoker = true) as
      select m.gym_id, m.member_id, m.enrolment_id, m.sets_track, m.track, m.ends, p.id as publication_id, p.number, p.template_id,
        p.version_id, p.begins, greatest(p.starts_on, p.in_force_on) as starts_on
      from publication_member m join publication p on p.gym_id = m.gym_id and p.id = m.publication_id
      where p.state = 'inForce' or (p.state = 'withdrawn' and exists (
        select from session_start s join session_log l on l.gym_id = s.gym_id and l.id = s.session_id
        where s.gym_id = m.gym_id and s.member_id = m.member_id and s.version_id = p.version_id
          and l.enrolment_id = m.enrolment_id and s.date between greatest(p.starts_on, p.in_force_on) and p.ended_on));
    create view ending_enrolment with (security_invoker = true) as
      select c.gym_id, c.member_id, o.id::text as id, c.starts_on as day from counting_publication c cross join lateral unnest(c.ends) as o(id)
      union all
      select f.gym_id, f.member_id, f.ends_enrolment, f.acts_from from fact f
      where f.ends_enrolment is not null and not exists (select from fact later
        where later.gym_id = f.gym_id and later.member_id = f.member_id and later.id = f.id and later.rev > f.rev);
    create view current_enrolment with (security_invoker = true) as
      select e.gym_id, e.member_id, e.id, e.template_id, min(c.starts_on) as starts_on
      from enrolment e
      join gym g on g.id = e.gym_id
      join counting_publication c on c.gym_id = e.gym_id and c.member_id = e.member_id and c.enrolment_id = e.id
      where not exists (select from ending_enrolment o
        where o.gym_id = e.gym_id and o.member_id = e.member_id and o.id = e.id::text and o.day <= (now() at time zone g.zone)::date)
      group by e.gym_id, e.member_id, e.id, e.template_id;
    -- For a gym as a whole: what ends is gathered once, not looked for member by member.
    create view template_audience with (security_invoker = true) as
      with counting as materialized (select c.gym_id, c.member_id, c.enrolment_id, c.template_id from counting_publication c),
        ended as materialized (select o.id from ending_enrolment o join gym g on g.id = o.gym_id where o.day <= (now() at time zone g.zone)::date)
      select gym_id, template_id, count(distinct member_id)::int as members
      from counting where enrolment_id::text not in (select id from ended) group by gym_id, template_id;
    comment on view counting_publication is 'What publications say of members, as far as it counts: the rule is the core''s as well.';
    comment on view ending_enrolment is 'From which day programs are over for members, as publications and they themselves say.';
    comment on view template_audience is 'How many members are on a program, or will be.';
    comment on view current_enrolment is 'Programs that members are on, or will be, as far as publications and endings say.';
  `)
  for (const table of ['publication', 'publication_member', 'impact', 'impact_member']) {
    await db.raw(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy own_gym on ${table} using (gym_id = nullif(current_setting('app.gym', true), '')::uuid);
    `)
  }
  await db.raw(`
    grant select, insert on publication to young_oak_app;
    grant update (number, state, in_force_on, ended_on, ended_by) on publication to young_oak_app;
    grant select, insert, delete on publication_member to young_oak_app;
    grant update (enrolment_id, sets_track, track, ends) on publication_member to young_oak_app;
    grant select, insert, delete on impact to young_oak_app;
    grant update (state) on impact to young_oak_app;
    grant select, insert, update, delete on impact_member to young_oak_app;
    grant select on counting_publication, ending_enrolment, current_enrolment, template_audience to young_oak_app;
  `)
}

/** Refuses: what was taken back would count again. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('013_publications is not taken back: restore a backup')
}
