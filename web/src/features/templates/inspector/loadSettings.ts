import type { LoadSettings } from '@young-oak/api/forms/loadSettings'
import { liftName, type Library } from '@young-oak/core/library'
import { repTableTitle, type RepTable } from '@young-oak/core/maxes'
import {
  sayWarmUp,
  type Command,
  type DeloadPolicy,
  type Head,
  type HeadField,
  type Missed,
  type Ratio,
  type Template,
} from '@young-oak/core/template'
import { formatNumber, wayWords, type Way } from '@young-oak/core/units'
import { choiceOf, listedText, warmUpOf } from './warmUpChoice.ts'

/** The settings as the form holds them: numbers as text until they are read. */
export type SettingsDraft = {
  [K in keyof LoadSettings]: K extends 'ratios'
    ? RatioDraft[]
    : K extends 'weeks' | 'fresh' | 'trainingMax' | 'tempoX' | 'awayWeeks' | 'awayBack'
      ? string
      : LoadSettings[K]
}

/** A ratio as it is typed. */
export type RatioDraft = { exercise: string; variant: string; percent: string; of: string; ofVariant: string }

export const draftRatios = (ratios: Ratio[]): RatioDraft[] =>
  ratios.map(({ lift, of, percent }) => ({
    exercise: lift.exercise,
    variant: lift.variant ?? '',
    percent: formatNumber(percent),
    of: of.exercise,
    ofVariant: of.variant ?? '',
  }))

const usualFresh = 16
const usualDeloadRounding: Way = 'nearestDown'
const usualTestRounding: Way = 'down'
const usualTempoX = 1
const typedOf = (value: number | undefined, usual = ''): string =>
  value === undefined ? usual : formatNumber(value)

/** What the template says now, to be changed. */
export function settingsOf(template: Template): SettingsDraft {
  const { maxes, away, trainingMax, rounding, missed, deloadPolicy = 'both', warmUp } = template
  const { deloadRounding = usualDeloadRounding, testRounding = usualTestRounding } = template
  return {
    use: maxes.use,
    weeks: maxes.use === 'best' ? formatNumber(maxes.weeks) : '8',
    fresh: typedOf(maxes.fresh, formatNumber(usualFresh)),
    table: maxes.table ?? 'handbook',
    needsTrainingMax: readsTrainingMax(template),
    trainingMax: typedOf(trainingMax),
    rounding,
    deloadRounding,
    testRounding,
    missed,
    awayWeeks: typedOf(away?.weeks),
    awayBack: away ? formatNumber(-away.back) : '10',
    tempoX: typedOf(template.tempoX, formatNumber(usualTempoX)),
    deloadPolicy,
    warmUp: choiceOf(warmUp),
    listed: listedText(warmUp),
    ratios: draftRatios(maxes.ratios ?? []),
  }
}

const readsTrainingMax = ({ slots }: Template): boolean =>
  Object.values(slots).some(({ rows }) =>
    Object.values(rows)
      .flat(2)
      .some(({ load }) => load.of === 'trainingMax'),
  )

/** The commands that make the template say what the form does: none where nothing changed, or why it cannot. */
export function settingsCommand(
  template: Template,
  settings: LoadSettings,
): { command: Command | null; fault?: undefined } | { fault: string } {
  const { trainingMax, rounding, missed, awayWeeks, awayBack, deloadPolicy } = settings
  const { deloadRounding, testRounding } = settings
  const warmUp = warmUpOf(settings.warmUp, settings.listed)
  if (warmUp === undefined) return { fault: 'Sets like 40 × 5, 60 × 3, each at a higher %, 10 to 95.' }
  const fields: [HeadField, Head][] = [
    ['maxes', maxesOf(settings)],
    ['trainingMax', trainingMax ?? null],
    ['rounding', rounding],
    ['deloadRounding', deloadRounding === usualDeloadRounding ? null : deloadRounding],
    ['testRounding', testRounding === usualTestRounding ? null : testRounding],
    ['warmUp', warmUp],
    ['missed', missed],
    ['away', awayWeeks && awayBack ? { weeks: awayWeeks, back: -awayBack } : null],
    ['tempoX', settings.tempoX === usualTempoX ? null : settings.tempoX],
    ['deloadPolicy', deloadPolicy === 'both' ? null : deloadPolicy],
  ]
  const commands = fields.flatMap(([field, to]): Command[] => {
    const from = template[field] ?? null
    return JSON.stringify(from) === JSON.stringify(to) ? [] : [{ do: 'setHead', field, from, to }]
  })
  const [only] = commands
  return { command: commands.length > 1 ? { do: 'several', commands } : (only ?? null) }
}

function maxesOf({ use, weeks, fresh, table, ratios }: LoadSettings): Template['maxes'] {
  const lift = (exercise: string, variant: string) => ({ exercise, ...(variant && { variant }) })
  return {
    ...(use === 'best' && weeks !== undefined && weeks !== null ? { use, weeks } : { use: 'newest' }),
    fresh,
    table,
    ...(ratios.length && {
      ratios: ratios.map(({ exercise, variant, percent, of, ofVariant }) => ({
        lift: lift(exercise, variant),
        of: lift(of, ofVariant),
        percent,
      })),
    }),
  } as Template['maxes']
}

/** What the inspector says of them: what is set, each an answer of one clause; what is usual is left out until asked for. */
export function saySettings(library: Library, template: Template): { set: string[]; usual: string[] } {
  const { maxes, trainingMax, rounding, missed, away, deloadPolicy = 'both', warmUp } = template
  const { fresh = usualFresh, table = 'handbook', ratios = [] } = maxes
  const { deloadRounding = usualDeloadRounding, testRounding = usualTestRounding } = template
  const answers: [boolean, string][] = [
    [
      maxes.use !== 'newest',
      maxes.use === 'newest'
        ? 'Percentages use the newest max'
        : `Percentages use the best max of ${maxes.weeks} weeks`,
    ],
    [fresh !== usualFresh, `A max is too old after ${fresh} weeks`],
    [table !== 'handbook', `Percentages for reps: ${tableName(table)}`],
    [
      trainingMax !== undefined,
      trainingMax === undefined ? 'No training max' : `Training max ${formatNumber(trainingMax)}% of the 1RM`,
    ],
    [rounding !== 'nearest', `Loads are rounded ${wayWords[rounding]}`],
    [deloadRounding !== usualDeloadRounding, `Deload loads are rounded ${wayWords[deloadRounding]}`],
    [testRounding !== usualTestRounding, `Test singles are rounded ${wayWords[testRounding]}`],
    [missed !== 'hold', `Missed sessions ${missedWords[missed]}`],
    [
      away !== undefined,
      away
        ? `After ${away.weeks} weeks away the first week back is at ${formatNumber(away.back).replace('-', '−')}%`
        : 'No reduction after an absence',
    ],
    [deloadPolicy !== 'both', `Deloads: ${policyWords[deloadPolicy]}`],
    ...ratios.map(({ lift, of, percent }): [boolean, string] => [
      true,
      `${liftName(library, lift)} at ${formatNumber(percent)}% of the ${liftName(library, of).toLowerCase()} max until it has one`,
    ]),
    [
      (template.tempoX ?? usualTempoX) !== usualTempoX,
      `An X in a tempo counts ${formatNumber(template.tempoX ?? usualTempoX)} s`,
    ],
    [warmUp !== undefined, `Warm-up: ${sayWarmUp(warmUp).replace(/\.$/, '')}`],
  ]
  const where = (isSet: boolean) => answers.flatMap(([is, said]) => (is === isSet ? [said] : []))
  return { set: where(true), usual: where(false) }
}

const tableName = (table: RepTable): string => {
  const title = repTableTitle(table)
  return table === 'handbook' ? title.toLowerCase() : title
}

export const missedWords: Record<Missed, string> = {
  hold: 'are skipped; the week’s sets come again next week',
  drop: 'are skipped; the next week follows',
  shift: 'move into the next week',
  repeat: 'make the whole week repeat',
}
export const policyWords: Record<DeloadPolicy, string> = {
  planned: 'planned deloads only',
  reactive: 'reactive deloads only',
  both: 'planned and reactive deloads',
}
