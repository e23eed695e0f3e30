import { entryFields } from './entry.ts'
import { soreAnswers, workedAnswers } from '../progressions/index.ts'
import { boolean } from 'yup'
import {
  choiceField,
  dayField,
  exerciseField,
  idField,
  laterField,
  listField,
  loadField,
  numberField,
  strictObject,
  textField,
  trueField,
  wholeField,
} from '../parsing/index.ts'
import { muscles, type Muscle } from '../library/index.ts'
import { setStyles } from '../template/index.ts'
import { amountUnits } from '../units/index.ts'

/** The pieces of member format 1; facts have theirs with their kinds. */
export const memberShape = strictObject({
  format: numberField('the number 1', 1, 1).required(),
  name: textField('a name', 120),
  today: dayField(),
  enrolments: listField('enrolments', 12).required(),
  facts: laterField('a list of facts', { type: 'array' }).required(),
  logs: laterField('a list of session logs', { type: 'array' }),
  exercises: laterField('exercises of the gym by id, those that it names'),
})

export const enrolmentShape = strictObject({
  id: idField('the enrolment’s id'),
  clock: choiceField(['own', 'calendar']),
  segments: listField('segments, in order of their days', 200)
    .of(
      strictObject({
        from: dayField().required(),
        version: idField('a template file’s name without .json'),
        track: idField('a track of the template'),
        begins: choiceField(['week', 'session']),
      }),
    )
    .required()
    .test('fits', 'segments, each from a later day than the one before', (segments) =>
      // This is asked of a list whose entries may be anything yet.
      (segments as ({ from?: string } | null)[]).every(
        (one, i, all) => i === 0 || String(one?.from) > String(all[i - 1]?.from),
      ),
    ),
})

export const sessionLogShape = strictObject({
  ...entryFields,
  enrolment: idField('an enrolment’s id; may be left out where there is one'),
  position: wholeField('a position in the plan', 1, 1000).required(),
  attempt: wholeField('an attempt', 1, 20),
  ordinal: wholeField('1st, 2nd … session of its day', 1, 9),
  place: idField('a place'),
  closed: boolean().strict().meta({ expected: 'true or false' }),
  shown: laterField('the snapshot of what was shown', { type: 'object' }),
  sets: laterField('a list of sets', { type: 'array' }).required(),
  answers: strictObject({
    rev: entryFields.rev,
    change: entryFields.change,
    hard: wholeField('how hard it was', 0, 10),
    minutes: wholeField('minutes', 1, 600),
    worked: byMuscle(workedAnswers),
    sore: byMuscle(soreAnswers),
  })
    .default(undefined)
    .meta({ expected: 'answers about the session' }),
})

/** An answer for each muscle that was asked about. */
function byMuscle(answers: readonly string[]) {
  const fields = muscles.map((muscle) => [muscle, choiceField(answers)] as const)
  return strictObject(Object.fromEntries(fields) as Record<Muscle, ReturnType<typeof choiceField>>)
    .default(undefined)
    .meta({ expected: `${answers.join(', ')}, by muscle` })
}

export const setLogShape = strictObject({
  id: idField(),
  rev: entryFields.rev,
  change: entryFields.change,
  void: entryFields.void,
  slot: idField('a slot').required(),
  n: wholeField('the number of the set in its slot', 1, 99).required(),
  state: choiceField(['done', 'failed', 'notDone']),
  exercise: exerciseField(),
  variant: textField('a variant', 60),
  load: loadField(0),
  help: trueField('true, where the load took off body weight'),
  reps: wholeField('reps', 0, 100),
  amount: strictObject({
    value: numberField('an amount from 0 to 100000', 0, 100_000).required(),
    unit: choiceField(amountUnits).required(),
  })
    .default(undefined)
    .meta({ expected: 'an amount like {"value": 45, "unit": "s"}' }),
  rir: wholeField('reps in reserve', 0, 10),
  assisted: wholeField('of the reps, those that were helped', 0, 100),
  bands: textField('bands or chains, by name and number', 60),
  style: choiceField(setStyles),
  option: trueField('true, for a set done in the other way that was asked'),
  partial: trueField('true, for a set not through the whole range'),
  pain: trueField('true, for a set that hurt'),
  technique: choiceField(['good', 'poor']),
})
