import { tuple } from 'yup'
import { muscles, patterns, readings, tools } from '../../library/index.ts'
import {
  choiceField,
  idField,
  listField,
  numberField,
  percentField,
  strictObject,
  textField,
  trueField,
  wholeField,
} from '../../parsing/index.ts'
import { specialBars } from '../../units/index.ts'

const repsField = () =>
  tuple([wholeField('the least', 1, 3600).required(), wholeField('the most', 1, 3600).required()])
    .default(undefined)
    .test('fits', 'two numbers, the smaller first', (span) => span === undefined || span[0] <= span[1])
    .meta({
      expected: 'what it suits, like [6, 12]',
      json: {
        type: 'array',
        prefixItems: [{ type: 'integer' }, { type: 'integer' }],
        minItems: 2,
        maxItems: 2,
      },
    })

const musclesField = (what: string, least: number) =>
  listField(what, 8, least)
    .of(choiceField(muscles).required())
    .test('fits', 'no muscle twice', (list) => list === undefined || new Set(list).size === list.length)

/** An exercise of a gym's own. */
export const ownExerciseShape = strictObject({
  name: textField('the exercise’s name', 80).required(),
  pattern: choiceField(patterns).required(),
  tool: choiceField(tools).required(),
  reads: choiceField(readings).required(),
  direct: musclesField('muscles that a set counts for in full, the main one first', 1).required(),
  indirect: musclesField('muscles that a set counts for by half', 0).required(),
  reps: repsField().required(),
  cost: numberField('recovery cost, 0 to 5', 0, 5).required(),
  spine: numberField('spine load, 0 to 5', 0, 5).required(),
  cue: textField('a cue', 300).required(),
  caution: textField('a caution', 300),
  isHeld: trueField('true, where it is held for a time'),
  perSide: trueField('true, where it is done one side at a time'),
  bar: choiceField(specialBars),
  parent: strictObject({
    exercise: idField('an exercise').required(),
    percent: percentField().required(),
  })
    .default(undefined)
    .meta({ expected: 'the parent lift, like {"exercise": "backSquat", "percent": 80}' }),
  substitutes: listField('exercises that may replace it', 12, 0).of(idField('an exercise').required()),
  also: textField('words by which it is found as well', 200),
  mergedInto: idField('the exercise that it is merged into'),
})
  .test(
    'fits',
    'no muscle both in full and by half',
    ({ direct, indirect }) => !direct?.some((muscle) => indirect?.includes(muscle)),
  )
  .test('fits', '"bar" only with a barbell', ({ bar, tool }) => !bar || tool === 'barbell')
