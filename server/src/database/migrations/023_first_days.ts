import type { Knex } from 'knex'

/** A member’s own first day under a publication, and loads that go on from another program. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table publication_member add column starts_on date;
    comment on column publication_member.starts_on is 'the first day of this member alone; null where it is the publication''s';
    alter table publication add column carries boolean not null default false;
    comment on column publication.carries is 'whether new runs start from the last loads of the program before';
    alter table publication_member add column carries_enrolment uuid;
    comment on column publication_member.carries_enrolment is 'of an enrolment that it makes: the one whose last loads it starts from';
    -- Which weekdays a member has is read beside how many they are.
    update member set traits = null;
    create or replace view counting_publication with (security_invoker = true) as
      select m.gym_id, m.member_id, m.enrolment_id, m.sets_track, m.track, m.ends, p.id as publication_id, p.number, p.template_id,
        p.version_id, p.begins, greatest(coalesce(m.starts_on, p.starts_on), p.in_force_on) as starts_on,
        p.chooses_track, p.opens, m.after_enrolment, m.carries_enrolment
      from publication_member m join publication p on p.gym_id = m.gym_id and p.id = m.publication_id
      where p.state = 'inForce' or (p.state = 'withdrawn' and exists (
        select from session_start s join session_log l on l.gym_id = s.gym_id and l.id = s.session_id
        where s.gym_id = m.gym_id and s.member_id = m.member_id and s.version_id = p.version_id and l.enrolment_id = m.enrolment_id
          and s.date between greatest(coalesce(m.starts_on, p.starts_on), p.in_force_on) and p.ended_on));
    -- A program that is over on its first day, or before it, never was one: however far ahead that lies.
    create or replace view current_enrolment with (security_invoker = true) as
      select e.gym_id, e.member_id, e.id, e.template_id, min(c.starts_on) as starts_on
      from enrolment e
      join gym g on g.id = e.gym_id
      join counting_publication c on c.gym_id = e.gym_id and c.member_id = e.member_id and c.enrolment_id = e.id
      left join lateral (select min(o.day) as day from ending_enrolment o
        where o.gym_id = e.gym_id and o.member_id = e.member_id and o.id = e.id::text) over on true
      where over.day is null or over.day > (now() at time zone g.zone)::date
      group by e.gym_id, e.member_id, e.id, e.template_id, over.day
      having over.day is null or over.day > min(c.starts_on);
    create or replace view template_audience with (security_invoker = true) as
      with counting as materialized (
          select c.gym_id, c.member_id, c.enrolment_id, c.template_id, min(c.starts_on) as starts_on from counting_publication c
          group by c.gym_id, c.member_id, c.enrolment_id, c.template_id),
        ended as materialized (select o.gym_id, o.id, min(o.day) as day from ending_enrolment o group by o.gym_id, o.id)
      select n.gym_id, n.template_id, count(distinct n.member_id)::int as members
      from counting n join gym g on g.id = n.gym_id left join ended o on o.gym_id = n.gym_id and o.id = n.enrolment_id::text
      where o.day is null or (o.day > (now() at time zone g.zone)::date and o.day > n.starts_on)
      group by n.gym_id, n.template_id;
    grant update (carries_enrolment) on publication_member to young_oak_app;
  `)
}

/** Refuses: first days would be lost. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('023_first_days is not taken back: restore a backup')
}
