import { givenExerciseSchema, mergeSchema, type LibraryView } from '../exercises.ts'
import { contract } from './contract.ts'
import { exercise } from './lifts.ts'
import { byKey, exact, text, type Reads } from './reads.ts'

const staff = ['owner', 'writer'] as const
const library = () =>
  exact<LibraryView>(
    { mark: text(), exercises: byKey(exercise()) as Reads<LibraryView['exercises']> },
    'Library',
  )

export const exercises = {
  ...contract({
    method: 'get',
    path: '/exercises',
    says: 'The gym’s own exercises, whole: plans are made with them.',
    who: [...staff, 'member'],
    answer: library(),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/exercises',
    says: 'Adds an exercise.',
    who: staff,
    body: givenExerciseSchema,
    answer: library(),
    problems: ['doesNotFit', 'tooMany'],
  }),
  ...contract({
    method: 'post',
    path: '/exercises/:id',
    says: 'Changes an exercise; what loads are computed from stays the same.',
    who: staff,
    body: givenExerciseSchema,
    answer: library(),
    problems: ['doesNotFit'],
  }),
  ...contract({
    method: 'post',
    path: '/exercises/:id/merge',
    says: 'Merges an exercise into another, or undoes the merge.',
    who: staff,
    body: mergeSchema,
    answer: library(),
    problems: ['doesNotFit'],
  }),
}
