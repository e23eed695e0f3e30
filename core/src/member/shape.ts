import { entryFields } from './entry.ts'
import { soreAnswers, workedAnswers } from '../progressions/index.ts'
import { boolean } from 'yup'
import {
  choiceField,
  dayField,
  entryIdField,
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

/** Why something was done otherwise than it was asked, or not at all. */
export const reasons = ['time', 'equipment', 'pain', 'other'] as const

/** The name of a place in the plan; in a deload that was inserted also of which fact, and which of its weeks. */
const placeFields = {
  phase: idField('a phase').required(),
  week: wholeField('a week of the phase', 1, 1000).required(),
  day: wholeField('a day of the week, from 1', 1, 20).required(),
  deload: strictObject({
    fact: idField('the deload').required(),
    week: wholeField('a week of the deload', 1, 4).required(),
  }).default(undefined),
}

/** The pieces of member format 2; facts have theirs with their kinds. */
export const memberShape = strictObject({
  format: numberField('the number 2, or 1', 2, 2).required(),
  name: textField('a name', 120),
  today: dayField(),
  enrolments: listField('enrolments, or publications beside them', 12),
  publications: listField('publications', 200),
  facts: laterField('a list of facts', { type: 'array' }).required(),
  logs: laterField('a list of session logs', { type: 'array' }),
  exercises: laterField('exercises of the gym by id, those that it names'),
}).test(
  'fits',
  'enrolments or publications',
  ({ enrolments, publications }) => enrolments !== undefined || publications !== undefined,
)

export const enrolmentShape = strictObject({
  id: idField('the enrolment’s id'),
  clock: choiceField(['own', 'calendar']),
  after: idField('the enrolment that it follows'),
  carries: idField('the enrolment whose last loads it starts from'),
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

export const publicationShape = strictObject({
  number: wholeField('the publication’s number', 1, 1_000_000).required(),
  enrolment: idField('the enrolment that it begins or changes').required(),
  from: dayField().required(),
  version: idField('a template file’s name without .json'),
  track: idField('a track of the template, or null for none').nullable(),
  begins: choiceField(['week', 'session']),
  clock: choiceField(['own', 'calendar']),
  after: idField('the enrolment that it follows'),
  carries: idField('the enrolment whose last loads it starts from'),
  ends: listField('enrolments that are over from its day on', 12).of(idField('an enrolment').required()),
  withdrawn: dayField(),
})

export const sessionLogShape = strictObject({
  ...entryFields,
  enrolment: idField(
    'an enrolment’s id, or null for training outside every plan; may be left out where there is one',
  ).nullable(),
  position: wholeField('a position in the plan', 1, 1000),
  at: strictObject(placeFields).default(undefined).meta({
    expected: 'the place in the plan, like {"phase": "base", "week": 2, "day": 1}',
  }),
  attempt: wholeField('an attempt', 1, 20),
  ordinal: wholeField('1st, 2nd… session of its day', 1, 9),
  minute: wholeField('the minute of the day at which it was started', 0, 1439),
  location: idField('a location'),
  batch: idField('what it was brought in with'),
  starts: listField('starts of the session', 20).of(
    strictObject({
      change: idField('the start’s own id').required(),
      date: dayField().required(),
      minute: wholeField('the minute of the day', 0, 1439).required(),
      location: idField('a location'),
      shown: laterField('the snapshot of what was shown', { type: 'object' }),
    }),
  ),
  instead: listField('exercises done instead', 24).of(
    strictObject({
      slot: idField('a slot').required(),
      exercise: exerciseField().required(),
      variant: textField('a variant', 60),
      reason: choiceField(reasons).required(),
      offered: loadField(0),
      why: laterField('how the load was worked out', { type: 'array' }),
    }),
  ),
  skipped: listField('slots that were skipped', 24).of(
    strictObject({ slot: idField('a slot').required(), reason: choiceField(reasons).required() }),
  ),
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
}).test(
  'fits',
  '"at", or "position", or "enrolment": null with an id of its own',
  ({ id, enrolment, at, position }) =>
    enrolment === null
      ? position === undefined && at === undefined && id !== undefined
      : position !== undefined || at !== undefined,
)

/** An answer for each muscle that was asked about. */
function byMuscle(answers: readonly string[]) {
  const fields = muscles.map((muscle) => [muscle, choiceField(answers)] as const)
  return strictObject(Object.fromEntries(fields) as Record<Muscle, ReturnType<typeof choiceField>>)
    .default(undefined)
    .meta({ expected: `${answers.join(', ')}, by muscle` })
}

/** One side of a set that is done a side at a time. */
const sideField = () =>
  strictObject({
    reps: wholeField('reps', 0, 100),
    load: loadField(0),
    rir: wholeField('RIR', 0, 10),
  }).default(undefined)

export const setLogShape = strictObject({
  id: entryIdField(),
  rev: entryFields.rev,
  change: entryFields.change,
  void: entryFields.void,
  slot: idField('a slot').required(),
  n: wholeField('the number of the set in its slot', 1, 99),
  extra: trueField('true, for a set that was not asked'),
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
  rir: wholeField('RIR', 0, 10),
  assisted: wholeField('of the reps, those that were helped', 0, 100),
  bands: textField('bands or chains, by name and number', 60),
  style: choiceField(setStyles),
  option: trueField('true, for a set done in the other way that was asked'),
  sides: strictObject({ left: sideField(), right: sideField() })
    .default(undefined)
    .meta({ expected: 'what each side did, like {"left": {"reps": 8}, "right": {"reps": 7}}' }),
  reason: choiceField(reasons),
  start: idField('the start that it was logged under'),
  partial: trueField('true, for a set not through the whole range'),
  pain: trueField('true, for a set that hurt'),
  technique: choiceField(['good', 'poor']),
}).test('fits', '"n", or "extra" with an id of its own', ({ id, n, extra }) =>
  extra ? n === undefined && id !== undefined : n !== undefined,
)
