import { declareSteps } from '../words/index.ts'
import { choiceField, numberField, strictObject } from '../parsing/index.ts'
import { highest, lowest, snap, type Span } from '../units/index.ts'
import { defineChange, signed, singlesChoices, singlesWords } from './change.ts'

const say = declareSteps({
  'scaleLoad.by': '{author}: load {by}%',
  'scaleLoad.added': '{author}: added load {by}%',
  'scaleLoad.reps': '{author}: reps {by}%, {reps} instead of {from}',
})

/** What is cut of a lift on body weight: body and added load together where nothing is stated. */
const parts = ['whole', 'added', 'reps'] as const
type Params = { by: number; onBody?: (typeof parts)[number]; singles?: (typeof singlesChoices)[number] }

/**
 * Loads by so many percent of themselves: 100 kg by −10 is 90 kg, whatever percent of the max it was. Of a lift on body weight it is
 * the whole, or only what is added, or the reps in place of the load. A track's leaves tests and heavy singles alone unless `singles`
 * says otherwise.
 */
export const scaleLoad = defineChange<Params>({
  kind: 'scaleLoad',
  title: 'Load by percent',
  params: strictObject({
    by: numberField('percent of the load, -90 to 50', -90, 50).required(),
    onBody: choiceField(parts),
    singles: choiceField(singlesChoices),
  }),
  lightens: ({ by }) => by < 0,
  scalesLoads: true,
  fields: {
    by: { label: 'Change the load by', unit: '%', hint: '−10 makes 100 kg 90 kg.' },
    onBody: {
      label: 'On body-weight lifts',
      unit: null,
      hint: 'Body weight and added load together, the added load alone, or the reps.',
      choices: {
        '': 'body and added load',
        whole: 'body and added load',
        added: 'added load only',
        reps: 'reps, same load',
      },
      isRare: true,
    },
    singles: singlesWords,
  },
  sentence: ({ by, onBody }) =>
    `load ${signed(by)}%${onBody === 'added' ? ', added load only on body-weight lifts' : onBody === 'reps' ? ', reps instead on body-weight lifts' : ''}`,
  onSets(prescribed, { by, onBody = 'whole' }, author) {
    const { isOnBody, reps, added = 100 } = prescribed
    if (isOnBody && onBody === 'reps') {
      if (reps === undefined) return null
      const fewer = scaleSpan(reps, 100 + by)
      const data = { author, by: signed(by), from: highest(reps), reps: highest(fewer) }
      return { now: { ...prescribed, reps: fewer }, step: say('scaleLoad.reps', data) }
    }
    if (prescribed.percent === null) return null
    const data = { author, by: signed(by) }
    if (isOnBody && onBody === 'added') {
      const now = { ...prescribed, added: snap((added * (100 + by)) / 100) }
      return { now, step: say('scaleLoad.added', data) }
    }
    const scale = snap((prescribed.scale * (100 + by)) / 100)
    return { now: { ...prescribed, scale }, step: say('scaleLoad.by', data) }
  },
  messages: say.messages,
  examples: [
    {
      say: 'minus 10 percent leaves the percent of the max alone',
      params: { by: -10 },
      prescribed: { sets: 3, percent: 80, scale: 100 },
      want: { sets: 3, percent: 80, scale: 90 },
    },
    {
      say: 'a prescription without a load stays as it is',
      params: { by: -10 },
      prescribed: { sets: 3, percent: null, scale: 100 },
      want: null,
    },
    {
      say: 'of a pull-up only what hangs from the belt',
      params: { by: -50, onBody: 'added' },
      prescribed: { sets: 3, percent: 110, scale: 100, isOnBody: true },
      want: { sets: 3, percent: 110, scale: 100, isOnBody: true, added: 50 },
    },
    {
      say: 'six to ten pull-ups by −50% are three to five, down to whole reps',
      params: { by: -50, onBody: 'reps' },
      prescribed: { sets: 3, percent: 100, scale: 100, isOnBody: true, reps: { from: 6, to: 10 } },
      want: { sets: 3, percent: 100, scale: 100, isOnBody: true, reps: { from: 3, to: 5 } },
    },
  ],
})

/** Reps by a percent, down to whole ones, at least one. */
function scaleSpan(reps: Span, percent: number): Span {
  const part = (count: number) => Math.max(1, Math.floor(snap((count * percent) / 100)))
  return typeof reps === 'number' ? part(reps) : { from: part(lowest(reps)), to: part(highest(reps)) }
}
