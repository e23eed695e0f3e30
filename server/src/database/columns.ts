import { createHash } from 'node:crypto'
import { factFormat, type Fact } from '@young-oak/core/facts'
import { logFormat, type SessionLog, type SetLog, type Start } from '@young-oak/core/member'
import {
  canonical,
  commandFormat,
  nominalWeeks,
  templateFormat,
  type Command,
  type Template,
} from '@young-oak/core/template'

// A stored document stands in one column; beside it stand the number of its format and what statements ask of it. Whoever writes a
// document writes both by these.

/** What lists say of a draft, and what tells it from a version. */
export const draftColumns = (draft: Template) => ({
  draft: JSON.stringify(draft),
  name: draft.name,
  weeks: draft.phases.reduce((sum, phase) => sum + nominalWeeks(phase), 0),
  per_week: draft.phases[0]?.perWeek ?? 0,
  slots: Object.keys(draft.slots).length,
  content_hash: contentHash(draft),
})

export const versionColumns = (body: Template) => ({
  body: JSON.stringify(body),
  content_hash: contentHash(body),
})

/** The format, and a hash that is the same for equal templates, in whatever order their keys stand. */
export const contentHash = (template: Template): string =>
  `${templateFormat}:${createHash('sha256').update(canonical(template)).digest('hex')}`

export const commandColumns = (command: Command) => ({
  command: JSON.stringify(command),
  format: commandFormat,
})

export const factColumns = (fact: Fact) => ({
  id: fact.id,
  rev: fact.rev,
  change: fact.change ?? '',
  date: fact.date,
  kind: fact.kind,
  acts_from: fact.actsFrom,
  ends_enrolment: fact.kind === 'endEnrolment' && !fact.void ? fact.enrolment : null,
  format: factFormat,
  body: JSON.stringify(fact),
})

/** A session as its first start has it; what was shown stands with its starts. */
export const logColumns = ({ shown: _, starts: __, ...log }: SessionLog) => ({
  date: log.date,
  closed: log.closed,
  format: logFormat,
  copy: JSON.stringify(log),
})

/** A start whose minute is unknown is from before phones said it. */
export type GivenStart = Omit<Start, 'minute'> & { minute?: number }

export const startColumns = ({ change, date, minute, location, shown }: GivenStart) => ({
  change,
  date,
  minute: minute ?? null,
  location: location ?? null,
  version_id: shown?.version,
  shown: JSON.stringify(shown),
})

export const setColumns = (set: SetLog) => ({
  id: set.id,
  rev: set.rev,
  change: set.change ?? '',
  state: set.state,
  format: logFormat,
  body: JSON.stringify(set),
})
