import { object, string } from 'yup'

/**
 * A read of one member's data is kept once a day, a list once a day with how many lines of it were seen, a change each time it is made. What says itself who
 * did it and when is its own record: edits of a template, publications, looks, exercises.
 */
export const auditKinds = ['read', 'list', 'change'] as const
export type AuditKind = (typeof auditKinds)[number]

type Noted = { kind: AuditKind; says: string }
const read = (says: string): Noted => ({ kind: 'read', says })
const list = (says: string): Noted => ({ kind: 'list', says })
const change = (says: string): Noted => ({ kind: 'change', says })

/** What staff do that the audit keeps, by route, in words that follow a name: "opened the progress". */
export const audited = {
  'get /members': list('opened the members list'),
  'get /members/:id/file': read('opened the plan'),
  'get /members/:id/progress': read('opened the progress and profile'),
  'post /members/:id/facts': change('added an entry to the progress or profile'),
  'post /facts': change('added an entry, the same as for others, to the progress'),
  'post /facts/taken-back': change('took back an entry, the same as for others, of the progress'),
  'delete /members/:id/facts/:fact': change('took back an entry of the progress or profile'),
  'get /members/:id/maxes': read('opened the maxes'),
  'post /members/:id/maxes': change('added a max'),
  'post /members/:id/body-weight': change('added a body weight'),
  'get /members/:id/equipment': read('opened the equipment'),
  'post /members/:id/equipment': change('saved equipment'),
  'post /members/:id/settings': change('changed the location or unit'),
  'get /maxes': list('opened the table of maxes'),
  'post /maxes': change('imported maxes'),
  'post /maxes/estimates': change('accepted estimates as maxes'),
  'post /maxes/letters': change('asked for maxes'),
  'get /groups/:id/members': list('opened a group'),
  'post /groups/:id/members': change('put into or took out of a group'),
  'get /looks/:id/members': list('opened what publishing would do'),
  'get /publications/:id/members': list('opened whom a publication reached'),
  'get /former-members': list('opened the list of former members'),
  'post /assignments': change('changed the writers'),
  'post /memberships': change('ended or gave back the membership'),
  'post /erasures': change('asked for the deletion of data, or stopped it'),
  'post /staff/:id/leave': change('ended a seat of the staff'),
  'post /staff/writer': change('took a writer’s seat'),
  'post /invitations': change('invited people'),
  'post /invitations/:id/link': change('renewed an invitation'),
  'delete /invitations/:id': change('withdrew an invitation'),
  'get /mail': list('opened the messages'),
  'get /join-requests': list('opened the requests to join'),
  'post /join-requests/:id': change('answered a request to join'),
  'post /gym': change('changed the gym'),
  'post /gym/join-link': change('changed the join link'),
  'post /locations': change('added a location'),
  'post /locations/:id/equipment': change('saved the equipment of a location'),
  'post /groups': change('made a group'),
  'post /groups/:id': change('changed a group'),
  'delete /groups/:id': change('deleted a group'),
  'post /templates/:id/sharing': change('changed who may edit a template'),
  'post /templates/:id/archive': change('archived a template, or brought it back'),
  'delete /templates/:id': change('deleted a template'),
} as const satisfies Record<string, Noted>
export type Audited = keyof typeof audited
export const isAudited = (name: string): name is Audited => name in audited
export const auditedNames = Object.keys(audited) as Audited[]

export type AuditLine = {
  id: string
  at: string
  who: string
  what: Audited
  /** By name, where it was about one member. */
  member: string | null
  /** By name, where it was about something else that is still there: a seat, an invitation, a group, a template, a location. */
  about: string | null
  /** How many lines of a list were seen, or how many people it was about. */
  count: number | null
}

/** The audit of a gym: behind one on, of a kind, with a name in it. */
export const auditSchema = object({
  after: string()
    .matches(/^\d{1,18}$/)
    .optional(),
  kind: string()
    .oneOf([...auditKinds])
    .optional(),
  name: string().max(100).optional(),
}).noUnknown()
export const ownAuditSchema = auditSchema.pick(['after']).noUnknown()
