import { soreAnswers, workedAnswers } from '../progressions/index.ts'
import { boolean } from 'yup'
import { mostInReserve, mostRepsWarned, formulaKinds } from '../maxes/index.ts'
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
import { eventKinds, jointAnswers, lightReasons } from './types.ts'
import { amountUnits, fixedTools, specialBars, type SpecialBar } from '../units/index.ts'

/** The pieces of member format 1. */
const entry = {
  id: idField(),
  rev: wholeField('a revision', 1, 1_000_000),
  change: idField('a change id'),
  replaces: idField('the id of the entry that it corrects'),
  void: trueField('true, for an entry that no longer counts'),
  date: dayField().required(),
}

const lift = { exercise: exerciseField().required(), variant: textField('a variant', 60) }

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

const fact = { ...entry, kind: laterField('a kind'), actsFrom: dayField() }

/** What a place has. */
const equipmentFields = {
  racks: listField('racks, one a unit', 2)
    .of(
      strictObject({
        unit: choiceField(['kg', 'lb']).required(),
        bar: numberField('the weight of the bar, 1 to 60', 1, 60).required(),
        bars: listField('other bars', 6).of(numberField('the weight of a bar, 1 to 60', 1, 60).required()),
        special: strictObject(
          Object.fromEntries(
            specialBars.map((bar) => [bar, numberField('the weight of the bar, 1 to 60', 1, 60)]),
          ) as Record<SpecialBar, ReturnType<typeof numberField>>,
        )
          .default(undefined)
          .meta({ expected: 'weights of special bars by name' }),
        plates: listField('kinds of plate', 20, 0)
          .of(
            strictObject({
              weight: numberField('the weight of one plate, 0.1 to 60', 0.1, 60).required(),
              pairs: wholeField('pairs', 1, 20).required(),
            }),
          )
          .required(),
      }),
    )
    .required(),
  fixed: listField('what comes in fixed loads', 40).of(
    strictObject({
      tool: choiceField(fixedTools).required(),
      exercise: exerciseField(),
      unit: choiceField(['kg', 'lb']).required(),
      loads: listField('loads, ascending', 200)
        .of(numberField('a load from 0.5 to 500', 0.5, 500).required())
        .required()
        .test('fits', 'loads, each heavier than the one before', (loads) =>
          (loads ?? []).every((v, i, all) => i === 0 || v > (all[i - 1] as number)),
        ),
    }),
  ),
}

export const equipmentShape = strictObject(equipmentFields)

export const factShapes = {
  max: strictObject({
    ...fact,
    ...lift,
    load: loadField(0).required(),
    help: trueField('true, where the load took off body weight'),
    reps: wholeField('reps', 1, mostRepsWarned).required(),
    rir: wholeField('reps left in reserve', 0, mostInReserve),
    how: choiceField(['tested', 'accepted estimate']),
    accepted: trueField('true, for a lower max that is to count'),
    formula: choiceField(formulaKinds),
  }),
  bodyWeight: strictObject({ ...fact, load: loadField().required() }),
  unit: strictObject({ ...fact, unit: choiceField(['kg', 'lb']).required() }),
  home: strictObject({ ...fact, place: idField('a place').required() }),
  test: strictObject({ ...fact, on: dayField().required() }),
  light: strictObject({
    ...fact,
    changes: listField('changes', 12).required(),
    muscles: listField('muscles, worked foremost', muscles.length).of(choiceField(muscles).required()),
    shift: boolean().strict().required().meta({ expected: 'true or false' }),
    weeks: wholeField('light weeks', 1, 4),
    back: listField('percents off in the weeks behind it', 4, 0).of(
      numberField('a percent from -50 to -1', -50, -1).required(),
    ),
    reason: choiceField(lightReasons),
  }),
  adjust: strictObject({ ...fact, adjustment: laterField('an adjustment').required() }),
  withdraw: strictObject({ ...fact, adjustment: idField('the id of an adjustment').required() }),
  handover: strictObject({
    ...fact,
    progression: idField('a progression').required(),
    stage: idField('the stage that the lift goes on to').required(),
  }),
  checkIn: strictObject({
    ...fact,
    sleep: wholeField('how the sleep is, 5 is good', 1, 5),
    mood: wholeField('how the mood is, 5 is good', 1, 5),
    freshness: wholeField('how fresh it feels, 5 is fresh', 1, 5),
    joints: choiceField(jointAnswers),
    sore: listField('muscles that are still sore', muscles.length, 0).of(choiceField(muscles).required()),
  }),
  about: strictObject({
    ...fact,
    overForty: boolean().strict().meta({ expected: 'true or false' }),
    deficit: boolean().strict().meta({ expected: 'true or false' }),
    stress: boolean().strict().meta({ expected: 'true or false' }),
  }),
  event: strictObject({
    ...fact,
    what: choiceField(eventKinds).required(),
    name: textField('what it is', 80),
    on: dayField().required(),
    to: dayField(),
  }).test('fits', '"to" no earlier than "on"', ({ on, to }) => to === undefined || to >= on),
  goal: strictObject({
    ...fact,
    ...lift,
    to: loadField().nullable().defined(),
    by: dayField(),
    block: strictObject({
      enrolment: idField('an enrolment’s id').required(),
      phase: idField('a phase').required(),
    }).default(undefined),
  }).test(
    'fits',
    'either a day ("by") or a block, whose end is the day',
    ({ by, block }) => by === undefined || block === undefined,
  ),
  trial: strictObject({
    ...fact,
    name: textField('what it is called', 80).required(),
    differs: textField('the one thing in which the two spells differ', 200).required(),
    first: spellField(),
    second: spellField(),
    lifts: listField('lifts that it is judged by', 8).of(strictObject(lift).required()).required(),
  }).test('fits', 'two spells that do not overlap', ({ first, second }) =>
    first?.to && second?.from && first.from && second.to
      ? first.to < second.from || second.to < first.from
      : true,
  ),
  decision: strictObject({
    ...fact,
    trial: idField('a trial').required(),
    chosen: choiceField(['first', 'second', 'neither']).required(),
    note: textField('a note', 500),
  }),
  skipLight: strictObject(fact),
  nextPhase: strictObject({ ...fact, phase: idField('a phase').required() }),
  adviceTaken: strictObject({
    ...fact,
    answer: textField('an answer of the advisor', 40).required(),
    taken: boolean().strict().required().meta({ expected: 'true or false' }),
  }),
  ceiling: strictObject({
    ...fact,
    muscle: choiceField(muscles).required(),
    sets: wholeField('sets a week, or null for no ceiling', 1, 60).nullable().defined(),
  }),
  equipment: strictObject({ ...fact, place: idField('a place').required(), ...equipmentFields }),
}

export const sessionLogShape = strictObject({
  ...entry,
  enrolment: idField('an enrolment’s id; may be left out where there is one'),
  position: wholeField('a position in the plan', 1, 1000).required(),
  attempt: wholeField('an attempt', 1, 20),
  ordinal: wholeField('1st, 2nd … session of its day', 1, 9),
  place: idField('a place'),
  closed: boolean().strict().meta({ expected: 'true or false' }),
  shown: laterField('the snapshot of what was shown', { type: 'object' }),
  sets: laterField('a list of sets', { type: 'array' }).required(),
  answers: strictObject({
    rev: entry.rev,
    change: entry.change,
    hard: wholeField('how hard it was', 0, 10),
    minutes: wholeField('minutes', 1, 600),
    worked: byMuscle(workedAnswers),
    sore: byMuscle(soreAnswers),
  })
    .default(undefined)
    .meta({ expected: 'answers about the session' }),
})

/** From a day to a later one. */
function spellField() {
  return strictObject({ from: dayField().required(), to: dayField().required() })
    .test('fits', 'days, the last one after the first', ({ from, to }) => !from || !to || to > from)
    .required()
    .meta({ expected: 'days like {"from": "2026-03-02", "to": "2026-04-12"}' })
}

/** An answer for each muscle that was asked about. */
function byMuscle(answers: readonly string[]) {
  const fields = muscles.map((muscle) => [muscle, choiceField(answers)] as const)
  return strictObject(Object.fromEntries(fields) as Record<Muscle, ReturnType<typeof choiceField>>)
    .default(undefined)
    .meta({ expected: `${answers.join(', ')}, by muscle` })
}

export const setLogShape = strictObject({
  id: idField(),
  rev: entry.rev,
  change: entry.change,
  void: entry.void,
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
