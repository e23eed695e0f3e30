import type { Knex } from 'knex'

/** How a publication gives tracks, opens weeks and follows other programs. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table publication add column tracks json;
    alter table publication add column chooses_track boolean not null default false;
    alter table publication add column opens int check (opens >= 0);
    comment on column publication.tracks is 'the rules that gave members their tracks, as they were asked; null where there were none';
    comment on column publication.chooses_track is 'whether members may choose their own track';
    comment on column publication.opens is 'how many weeks ahead of the running one a member sees; null for all';
    alter table publication drop constraint publication_others_check;
    alter table publication add constraint publication_others_check check (others in ('beside', 'replace', 'follow'));
    alter table publication_member add column after_enrolment uuid;
    comment on column publication_member.after_enrolment is 'of an enrolment that it makes: the one that it follows, and begins when that is over';
    -- What a look found before cannot say it.
    delete from impact_member;
    alter table impact_member add column is_paused boolean not null, add column keeps_track boolean not null, add column follows int not null;
    create or replace view counting_publication with (security_invoker = true) as
      select m.gym_id, m.member_id, m.enrolment_id, m.sets_track, m.track, m.ends, p.id as publication_id, p.number, p.template_id,
        p.version_id, p.begins, greatest(p.starts_on, p.in_force_on) as starts_on, p.chooses_track, p.opens, m.after_enrolment
      from publication_member m join publication p on p.gym_id = m.gym_id and p.id = m.publication_id
      where p.state = 'inForce' or (p.state = 'withdrawn' and exists (
        select from session_start s join session_log l on l.gym_id = s.gym_id and l.id = s.session_id
        where s.gym_id = m.gym_id and s.member_id = m.member_id and s.version_id = p.version_id
          and l.enrolment_id = m.enrolment_id and s.date between greatest(p.starts_on, p.in_force_on) and p.ended_on));
    grant update (after_enrolment) on publication_member to young_oak_app;
  `)
}

/** Refuses: what a publication said would be lost. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('020_tracks is not taken back: restore a backup')
}
