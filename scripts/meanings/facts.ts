// What each kind of fact says, and what its keys mean, in a few words.
const lift = { exercise: 'the lift', variant: 'of it, with its own max' }

export const factMeanings: Record<string, Record<string, string>> = {
  'fact about': {
    about: 'What deloads are advised by, first of all the training age. All of it is optional.',
    training: 'how long they have trained with weights',
    overForty: 'aged forty or over',
    deficit: 'eats in a calorie deficit',
    stress: 'is under stress',
  },
  'fact adjust': {
    about:
      'A custom change of the member, applied last. One of the same id takes the place of the one before.',
    adjustment: 'like `{"id": "knee", "do": {"kind": "drop"}, "where": {"slots": ["a-squat"]}}`',
  },
  'fact adviceTaken': {
    about:
      'An answer of the advisor was accepted or dismissed; a dismissed one does not come again for a week.',
    answer: '',
    taken: '',
  },
  'fact askFirst': {
    about:
      'What the member named that asks for a licensed professional first: a caution, never a diagnosis. A later entry takes its place.',
    reasons: '',
    isCleared: 'whether a licensed professional has said that training is fine',
  },
  'fact bodyWeight': { about: 'What the member weighs.', load: '' },
  'fact checkIn': {
    about: 'How the member is. Any of the keys.',
    sleep: '',
    mood: '',
    freshness: '',
    joints: '',
    sore: '',
  },
  'fact choice': {
    about: 'Which of the exercises that a slot offers is trained, from the next session.',
    enrolment: '',
    slot: '',
    ...lift,
  },
  'fact decision': {
    about: 'What a comparison led to.',
    trial: 'the id of the fact `trial`',
    chosen: '',
    note: '',
  },
  'fact days': {
    about:
      'When the member can train. How many sessions a week there are is the program’s. A later entry takes the place of all of it.',
    weekdays: 'from 1 (Monday) to 7 (Sunday)',
    most: 'of them one after the other, at most',
    minutes: 'that a session may take; a session that takes longer is a finding',
  },
  'fact deload': {
    about: 'The next plan week that begins is a deload.',
    changes: 'as `do` of a change in a template; each lowers something',
    muscles: 'exercises that work one of these most; all where it is left out',
    shift: 'on the own clock: the deload is inserted before the plan’s week, which then follows whole',
    weeks: 'how many deload weeks',
    back: 'percent off in each week after it, like `[-20, -10]`',
    reason: '',
  },
  'fact enjoys': {
    about: 'What the member likes to do. A later entry takes the place of all of it.',
    exercises: '',
    keptUp: 'what they have kept up for long, in their words',
  },
  'fact equipment': {
    about:
      'What a location has from its day on. Where nothing is listed the usual equipment is assumed, and a finding says so.',
    location: '',
    racks: 'one for each unit',
    'racks[].unit': '',
    'racks[].bar': 'the usual bar',
    'racks[].bars': 'lighter ones',
    'racks[].special': '',
    'racks[].special.trap bar': '',
    'racks[].special.safety bar': '',
    'racks[].special.curl bar': '',
    'racks[].special.guided bar': '',
    'racks[].plates': '',
    'racks[].plates[].weight': '',
    'racks[].plates[].pairs': 'one plate for each side',
    fixed: 'dumbbells, stacks and assistance machines',
    'fixed[].tool': '',
    'fixed[].exercise': 'for a machine with its own steps',
    'fixed[].unit': '',
    'fixed[].loads': '',
    'fixed[].plates': 'each once: a pin at 50 with 1.25 and 2.5 makes 51.25, 52.5 and 53.75 as well',
  },
  'fact event': {
    about: 'Something that changes what is wise to train.',
    what: '',
    name: '',
    on: '',
    to: '',
    lifts: 'lifts whose maxes from before it are doubtful from that day on, as with gear that is replaced',
  },
  'fact goal': {
    about:
      'The e1RM that a lift is to reach, by a day or by the end of a phase. A lift may have one goal for each phase, and one besides.',
    ...lift,
    to: '`null` deletes the goal',
    gain: 'in place of `to`: so many percent more than the lift’s estimate on the day, or its max where there is no estimate',
    by: 'a day',
    block: 'or a phase, whose end is the day',
    'block.enrolment': '',
    'block.phase': '',
  },
  'fact totalGoal': {
    about: 'What the e1RMs of several lifts are to come to. A goal of the same lifts takes its place.',
    lifts: '',
    to: '`null` deletes the goal',
    by: 'a day',
  },
  'fact handover': { about: 'An offered stage of a progression was accepted.', progression: '', stage: '' },
  'fact home': {
    about: 'Whose equipment “at home” means; the location called `home` by default.',
    location: '',
  },
  'fact level': {
    about: 'A lift in which the member is further, or less far, than their training age says.',
    ...lift,
    level: 'null takes it back',
  },
  'fact max': {
    about:
      'A max. One rep with 0 RIR is a tested 1RM; more is an estimate, which the member accepts by giving it. By date the newest is in force, whenever it was entered. A test below the max in force is only a proposal, unless it is `accepted`.',
    ...lift,
    load: 'of a body-weight exercise what was added, 0 for body weight alone',
    help: '',
    reps: 'above 12 the formulas differ too much to rely on',
    rir: 'counts as reps',
    how: '',
    accepted: '',
    formula: '`epley` by default',
  },
  'fact mostSets': { about: 'The most hard sets a week of a muscle.', muscle: '', sets: '' },
  'fact nextPhase': { about: 'This phase ends with the week that is running.', phase: '' },
  'fact endEnrolment': {
    about: 'A program is over for this member from the fact’s day on; what was trained in it stays.',
    enrolment: '',
    reason: '',
  },
  'fact endDeload': {
    about:
      'A deload of the member’s own is over, with its return: what was trained in it stays where it was.',
    deload: '',
  },
  'fact pause': {
    about:
      'A program, or all of them, waits from this day on. Its weeks wait; on a calendar they end by the missed policy.',
    enrolment: 'the program; all of them if left out',
    to: 'the first day back, where it is known',
    reason: '',
    back: 'percent on every load of the first week trained after the pause began, from −50 to 0, in the place of the template’s `away`; where it has changes, of the first week after it is over',
    changes:
      'what is changed while it lasts: the program goes on then, and each change lowers something. Without them nothing is trained',
    muscles: 'the changes are of these muscle groups alone; of everything if left out',
  },
  'fact priorities': {
    about: 'What the member wants most from training. A later entry takes the place of all of it.',
    muscles: '',
    lifts: '',
  },
  'fact resume': { about: 'A pause is over from this day on.', pause: 'the id of the fact `pause`' },
  'fact skipDeload': { about: 'The next planned deload is trained as a normal week.' },
  'fact test': {
    about: 'The test day. A later fact moves it; weeks that have begun keep their count.',
    on: '',
  },
  'fact track': {
    about:
      'The track of a program for this member alone, from the next plan week on. It goes before what is published.',
    enrolment: '',
    track: 'null for the template as written; left out, the published track is used again',
  },
  'fact trial': {
    about: 'A comparison of two periods of training that differ in one thing.',
    name: '',
    differs: '',
    first: '',
    second: '',
    lifts: '',
  },
  'fact unit': { about: 'The unit of plates, steps and loads: `kg` by default.', unit: '' },
  'fact withdraw': { about: 'A custom change ends.', adjustment: '' },
}
