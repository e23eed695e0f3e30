import {
  addressSchema,
  chooseSeatSchema,
  invitedSchema,
  joinSchema,
  ownLeaveSchema,
  passwordSchema,
  resetSchema,
  signInSchema,
  type InvitedView,
  type SeatView,
  type SessionView,
} from '../accounts.ts'
import { contract } from './contract.ts'
import { choice, exact, list, orNull, text } from './reads.ts'

const seat = () =>
  exact<SeatView>(
    { gym: text(), gymName: text(), kind: choice('owner', 'writer', 'member'), id: text(), name: text() },
    'Seat',
  )
export const session = () =>
  exact<SessionView>(
    {
      seat: orNull(seat()),
      seats: list(seat()),
      email: orNull(text()),
      demo: list(exact<SessionView['demo'][number]>({ email: text(), password: text(), who: text() })),
    },
    'Session',
  )

export const accounts = {
  ...contract({
    method: 'get',
    path: '/session',
    says: 'Who is signed in, and as whom.',
    who: 'anyone',
    answer: session(),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/session',
    says: 'Signs in.',
    who: 'anyone',
    body: signInSchema,
    answer: session(),
    problems: ['wrongPassword', 'noGym', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'post',
    path: '/session/seat',
    says: 'Switches to another of the account’s roles.',
    who: ['owner', 'writer', 'member'],
    body: chooseSeatSchema,
    answer: session(),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/session/password',
    says: 'Changes the password of the account; every other browser is signed out.',
    who: ['owner', 'writer', 'member'],
    body: passwordSchema,
    answer: null,
    problems: ['wrongPassword', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'post',
    path: '/session/address',
    says: 'Changes the address that the account is signed in by.',
    who: ['owner', 'writer', 'member'],
    body: addressSchema,
    answer: session(),
    problems: ['wrongPassword', 'addressTaken', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'post',
    path: '/me/leave',
    says: 'Ends the member’s own seat in the gym. What was trained stays with the gym.',
    who: ['member'],
    body: ownLeaveSchema,
    answer: null,
    problems: ['wrongPassword', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'post',
    path: '/reset',
    says: 'Gives an account another password by the link of a letter; whoever was signed in with it is signed out.',
    who: 'anyone',
    body: resetSchema,
    answer: null,
    problems: ['linkOver', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'post',
    path: '/join',
    says: 'What a link is for: an invitation, or asking to join a gym.',
    who: 'anyone',
    body: invitedSchema,
    answer: exact<InvitedView>(
      {
        kind: choice('invitation', 'request'),
        gymName: text(),
        role: choice('owner', 'writer', 'member'),
        name: text(),
        from: text(),
        signedInAs: orNull(text()),
      },
      'Invited',
    ),
    problems: ['linkOver'],
  }),
  ...contract({
    method: 'post',
    path: '/join/accept',
    says: 'Takes the seat of an invitation; whoever takes it is signed in.',
    who: 'anyone',
    body: joinSchema,
    answer: session(),
    problems: ['linkOver', 'alreadyHere', 'wrongPassword', 'addressTaken', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'post',
    path: '/join/ask',
    says: 'Asks to be a member of the gym behind a link. The owner answers.',
    who: 'anyone',
    body: joinSchema,
    answer: null,
    problems: ['linkOver', 'alreadyHere', 'wrongPassword', 'addressTaken', 'tooMany', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'delete',
    path: '/session',
    says: 'Signs out.',
    who: 'anyone',
    answer: null,
    problems: [],
  }),
}
