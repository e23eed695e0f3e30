import type { Unit } from '@young-oak/core/units'
import { gymSchema, joinLinkSchema, setUpSchema, weekStarts, type GymView } from '../gyms.ts'
import { session } from './accounts.ts'
import { contract } from './contract.ts'
import { choice, exact, orNull, text, yesOrNo } from './reads.ts'

const gym = () =>
  exact<GymView>(
    {
      name: text(),
      zone: text(),
      unit: choice<Unit>('kg', 'lb'),
      weekStart: choice(...weekStarts),
      joinLink: orNull(text()),
    },
    'Gym',
  )

export const gyms = {
  ...contract({
    method: 'get',
    path: '/set-up',
    says: 'Whether the first gym is still to be set up.',
    who: 'anyone',
    answer: exact<{ isOpen: boolean }>({ isOpen: yesOrNo() }),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/set-up',
    says: 'Sets up the first gym with its owner, by the code that the server printed; the owner is signed in.',
    who: 'anyone',
    body: setUpSchema,
    answer: session(),
    problems: ['wrongCode', 'tooManyAttempts'],
  }),
  ...contract({
    method: 'get',
    path: '/gym',
    says: 'What the gym is called, its time zone and unit, and the link for asking to join.',
    who: ['owner'],
    answer: gym(),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/gym',
    says: 'Changes the name, time zone and unit.',
    who: ['owner'],
    body: gymSchema,
    answer: gym(),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/gym/join-link',
    says: 'Makes a new link for asking to join, or ends it; the one before is worth nothing from then on.',
    who: ['owner'],
    body: joinLinkSchema,
    answer: gym(),
    problems: [],
  }),
}
