import {
  assignSchema,
  invitesSchema,
  leaveSchema,
  roles,
  type InvitationLine,
  type InvitationLink,
  type StaffLine,
} from '../people.ts'
import { contract, paged, pageOf } from './contract.ts'
import { choice, count, exact, list, orNull, text, yesOrNo } from './reads.ts'

const staff = () =>
  exact<StaffLine>(
    {
      id: text(),
      name: text(),
      role: choice('owner', 'writer'),
      email: text(),
      members: count(),
      isSelf: yesOrNo(),
    },
    'Staff',
  )
const link = () => exact<InvitationLink>({ id: text(), name: text(), link: text() }, 'InvitationLink')

export const people = {
  ...contract({
    method: 'get',
    path: '/staff',
    says: 'The gym’s owners and writers.',
    who: ['owner'],
    answer: list(staff()),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/staff/writer',
    says: 'Gives the owner who is signed in a writer’s seat too.',
    who: ['owner'],
    answer: list(staff()),
    problems: ['alreadyHere'],
  }),
  ...contract({
    method: 'post',
    path: '/staff/:id/leave',
    says: 'Ends a seat of the staff, and hands a writer’s members to another one.',
    who: ['owner'],
    body: leaveSchema,
    answer: list(staff()),
    problems: ['lastOwner', 'noSuchWriter'],
  }),
  ...contract({
    method: 'post',
    path: '/assignments',
    says: 'Assigns members to a writer, or ends it.',
    who: ['owner'],
    body: assignSchema,
    answer: null,
    problems: ['noSuchWriter'],
  }),
  ...contract({
    method: 'get',
    path: '/invitations',
    says: 'Invitations that nobody has used yet, by name; a writer sees those for members.',
    who: ['owner', 'writer'],
    query: paged,
    answer: pageOf(
      exact<InvitationLine>(
        {
          id: text(),
          name: text(),
          email: orNull(text()),
          role: choice(...roles),
          writers: list(text()),
          from: text(),
          endsAt: text(),
          isOver: yesOrNo(),
        },
        'Invitation',
      ),
    ),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/invitations',
    says: 'Invites people, and answers a link for each. A writer invites members, who are then assigned to the writer.',
    who: ['owner', 'writer'],
    body: invitesSchema,
    answer: list(link()),
    problems: ['noSuchWriter', 'alreadyInvited'],
  }),
  ...contract({
    method: 'post',
    path: '/invitations/:id/link',
    says: 'Makes a new link for an invitation; the one before is worth nothing from then on.',
    who: ['owner', 'writer'],
    answer: link(),
    problems: [],
  }),
  ...contract({
    method: 'delete',
    path: '/invitations/:id',
    says: 'Withdraws an invitation.',
    who: ['owner', 'writer'],
    answer: null,
    problems: [],
  }),
}
