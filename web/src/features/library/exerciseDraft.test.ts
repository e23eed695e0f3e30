import { describe, expect, test } from '@jest/globals'
import { exerciseIds, exerciseOf, type OwnExercise } from '@young-oak/core/library'
import { draftOf, emptyDraft, readDraft, type ExerciseDraft } from './exerciseDraft.ts'

const whole: ExerciseDraft = {
  ...emptyDraft('Slip squat'),
  pattern: 'squat',
  shares: { glutes: 'full', quads: 'main', trunk: 'half' },
  cue: ' Sit between the hips. ',
}

describe('an exercise that is typed', () => {
  test('reads to what was meant: the main muscle first, spaces cut, nothing that was left empty', () => {
    expect(readDraft({ ...whole, from: '3', to: '8', cost: '4,5', perSide: true }).value).toEqual({
      name: 'Slip squat',
      pattern: 'squat',
      tool: 'barbell',
      reads: 'total',
      direct: ['quads', 'glutes'],
      indirect: ['trunk'],
      reps: [3, 8],
      cost: 4.5,
      spine: 1,
      cue: 'Sit between the hips.',
      perSide: true,
    })
  })

  test.each<[string, Partial<ExerciseDraft>, string]>([
    ['no name', { name: ' ' }, 'name'],
    ['no pattern', { pattern: '' }, 'pattern'],
    ['no main muscle', { shares: { quads: 'full' } }, 'direct'],
    ['two main muscles', { shares: { quads: 'main', glutes: 'main' } }, 'direct'],
    ['reps the wrong way round', { from: '12', to: '6' }, 'reps'],
    ['reps that are no number', { from: 'few' }, 'reps'],
    ['half a rep', { from: '2.5' }, 'reps'],
    ['too much cost', { cost: '6' }, 'cost'],
    ['no spine load said', { spine: '' }, 'spine'],
    ['no cue', { cue: '' }, 'cue'],
    ['a parent without a percent', { parent: 'backSquat', percent: '' }, 'parent'],
    ['a percent that is none', { parent: 'backSquat', percent: '200' }, 'parent'],
  ])('with %s is told beside its field, and nowhere else', (_, change, field) => {
    expect(Object.keys(readDraft({ ...whole, ...change }).faults ?? {})).toEqual([field])
  })

  test('forgets a bar that is no barbell’s', () => {
    const { value: exercise } = readDraft({ ...whole, bar: 'safety bar', tool: 'machine' })
    expect(exercise).toMatchObject({ tool: 'machine' })
    expect(exercise).not.toHaveProperty('bar')
  })

  // A task is no exercise: one of a gym's own works a muscle.
  test.each(exerciseIds.filter((id) => id !== 'task'))(
    '%s is put into the form and read back the same',
    (id) => {
      const known: OwnExercise = exerciseOf({}, { exercise: id })
      const { value: exercise } = readDraft(draftOf(known))
      const plain = ({ direct, indirect, ...rest }: OwnExercise) => ({
        ...rest,
        main: direct[0],
        direct: [...direct].sort(),
        indirect: [...indirect].sort(),
      })
      expect(exercise && plain(exercise)).toEqual(plain(known))
    },
  )
})
