import type { Unit } from '@young-oak/core/units'
import { gymSchema, setUpSchema, type GivenGym } from '../gyms.ts'
import { session } from './accounts.ts'
import { contract } from './contract.ts'
import { choice, exact, text, yesOrNo } from './reads.ts'

const gym = () => exact<GivenGym>({ name: text(), zone: text(), unit: choice<Unit>('kg', 'lb') }, 'Gym')

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
    says: 'What the gym is called, its time zone and its unit.',
    who: ['owner'],
    answer: gym(),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/gym',
    says: 'Changes them.',
    who: ['owner'],
    body: gymSchema,
    answer: gym(),
    problems: [],
  }),
}
