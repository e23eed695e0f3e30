// Twenty gyms of five members for the bench's phones: the demo's members under other accounts.

type Psql = (database: string, statement: string) => string

/** Copies the demo's gym, and answers the addresses that the copies' members sign in by. */
export function addGyms(psql: Psql, database: string, gyms: number, each: number): string[] {
  psql(database, `do $$ ${copyGyms(gyms, each)} $$`)
  const emails = psql(
    database,
    `select email from account where email like 'bench-%@demo.example' order by email`,
  )
  return emails.split('\n').filter(Boolean)
}

/** Rows keep their ids: every key has the gym in it. */
const ofGym = ['location', 'location_equipment', 'exercise', 'template', 'template_version', 'publication']
const ofMember = ['enrolment', 'publication_member', 'fact', 'session_log', 'session_start', 'set_entry']

const copyGyms = (gyms: number, each: number): string => `
  declare
    demo uuid := (select id from gym limit 1);
    made uuid;
  begin
    for k in 0..${gyms - 1} loop
      insert into gym (name, zone, unit) select name || ' ' || k, zone, unit from gym where id = demo returning id into made;
      create temporary table chosen on commit drop as
        select m.id, a.password_hash, format('bench-%s-%s@demo.example', k, row_number() over (order by a.email)) as email
        from member m join account a on a.id = m.account_id where m.gym_id = demo
        order by (hashtext(m.id::text || k)) limit ${each};
      insert into account (email, password_hash) select email, password_hash from chosen;
      insert into account (email, password_hash) select format('bench-staff-%s-%s@no.example', k, id), '' from staff where gym_id = demo;
      insert into staff (gym_id, id, account_id, name, role)
        select made, s.id, a.id, s.name, s.role from staff s
        join account a on a.email = format('bench-staff-%s-%s@no.example', k, s.id) where s.gym_id = demo;
      ${ofGym.map((table) => copy(table, '')).join('\n')}
      insert into member (gym_id, id, account_id, name, revision)
        select made, m.id, a.id, m.name, m.revision from chosen c join member m on m.gym_id = demo and m.id = c.id join account a on a.email = c.email;
      ${ofMember.map((table) => copy(table, 'and row.member_id in (select id from chosen)')).join('\n')}
      drop table chosen;
    end loop;
  end`

const copy = (table: string, which: string): string =>
  `insert into ${table} select (jsonb_populate_record(row, jsonb_build_object('gym_id', made))).* from ${table} row where row.gym_id = demo ${which};`
