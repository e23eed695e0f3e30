import type { Knex } from 'knex'
import * as tenants from './001_tenants.ts'
import * as templates from './002_templates.ts'
import * as training from './003_training.ts'
import * as spine from './004_spine.ts'
import * as equipment from './005_equipment.ts'
import * as exercises from './006_exercises.ts'
import * as assignments from './007_assignments.ts'
import * as formats from './008_formats.ts'
import * as starts from './009_starts.ts'
import * as revisions from './010_revisions.ts'
import * as json from './011_json.ts'
import * as people from './012_people.ts'
import * as publications from './013_publications.ts'
import * as checkpoints from './014_checkpoints.ts'
import * as mail from './015_mail.ts'
import * as erasing from './016_erasing.ts'
import * as week from './017_week.ts'
import * as groups from './018_groups.ts'
import * as traits from './019_traits.ts'
import * as tracks from './020_tracks.ts'
import * as authors from './021_authors.ts'
import * as audit from './022_audit.ts'
import * as firstDays from './023_first_days.ts'
import * as room from './024_room.ts'
import * as auditSubject from './025_audit_subject.ts'
import * as enjoyed from './026_enjoyed.ts'

type Migration = { up(db: Knex): Promise<void>; down(db: Knex): Promise<void> }

const migrations: Record<string, Migration> = {
  '001_tenants': tenants,
  '002_templates': templates,
  '003_training': training,
  '004_spine': spine,
  '005_equipment': equipment,
  '006_exercises': exercises,
  '007_assignments': assignments,
  '008_formats': formats,
  '009_starts': starts,
  '010_revisions': revisions,
  '011_json': json,
  '012_people': people,
  '013_publications': publications,
  '014_checkpoints': checkpoints,
  '015_mail': mail,
  '016_erasing': erasing,
  '017_week': week,
  '018_groups': groups,
  '019_traits': traits,
  '020_tracks': tracks,
  '021_authors': authors,
  '022_audit': audit,
  '023_first_days': firstDays,
  '024_room': room,
  '025_audit_subject': auditSubject,
  '026_enjoyed': enjoyed,
}

/** Migrations by name, in order; each is a frozen file that imports no live code. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: () => Promise.resolve(Object.keys(migrations)),
  getMigrationName: (name) => name,
  getMigration: (name) => Promise.resolve(migrations[name] as Migration),
}
