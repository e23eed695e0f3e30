import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import {
  deloadPolicies,
  type DeloadPolicy,
  missedPolicies,
  sayWarmUp,
  type Command,
  type Head,
  type HeadField,
  type Missed,
  type Template,
} from '@young-oak/core/template'
import { liftName } from '@young-oak/core/library'
import { repTables, repTableTitle, type RepTable } from '@young-oak/core/maxes'
import { offeredRatios } from '@young-oak/core/views'
import { formatNumber, type Way } from '@young-oak/core/units'
import { useAppDispatch } from '../../../app/store.ts'
import { Button } from '../../../ui/Button.tsx'
import { Field, SelectField } from '../../../ui/Field.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { typedNumber } from '../../../ui/typedNumber.ts'
import { edit } from '../editorSlice.ts'
import { draftRatios, readRatios, RatioFields } from './RatioFields.tsx'
import { choiceOf, ladderText, warmUpChoices, warmUpOf, type WarmUpChoice } from './warmUpChoice.ts'

/** How the template makes loads of maxes and takes weeks that were missed, as sentences; each can be changed, and acts from the next version on. */
export function LoadSettings({ draft }: { draft: Template }) {
  const library = useLibrary()
  const [isOpen, setOpen] = useState(false)
  const { maxes, trainingMax, rounding, warmUp } = draft
  const said = [
    maxes.use === 'newest'
      ? 'Percentages use the newest max'
      : `Percentages use the best max of ${maxes.weeks} weeks`,
    `too old after ${maxes.fresh ?? usualFresh} weeks`,
    `percentages for reps by the ${tableName(maxes.table ?? 'handbook')}`,
    trainingMax === undefined ? 'no training max' : `training max ${formatNumber(trainingMax)}% of the 1RM`,
    roundingWords[rounding],
    missedWords[draft.missed],
    draft.away
      ? `after ${draft.away.weeks} weeks away the first week back is at ${formatNumber(draft.away.back).replace('-', '−')}%`
      : 'after an absence the loads are unchanged',
    policyWords[draft.deloadPolicy ?? 'both'],
    ...(maxes.ratios ?? []).map(
      ({ lift, of, percent }) =>
        `${liftName(library, lift)} at ${formatNumber(percent)}% of the ${liftName(library, of).toLowerCase()} max until it has one`,
    ),
  ]
  return (
    <section aria-label="Loads">
      <h3 className="text-lg">Loads</h3>
      <p className="mt-1 text-sm text-bark">
        {said.join('; ')}. Warm-up: {sayWarmUp(warmUp)}{' '}
        <Button look="quiet" className="min-h-0" onClick={() => setOpen(true)}>
          Change
        </Button>
      </p>
      <Modal
        title="Loads"
        about="Changes act from the next version on."
        isOpen={isOpen}
        onClose={() => setOpen(false)}
      >
        <SettingsForm draft={draft} onClose={() => setOpen(false)} />
      </Modal>
    </section>
  )
}

const usualFresh = 16
const tableName = (table: RepTable): string => {
  const title = repTableTitle(table)
  return table === 'handbook' ? title.toLowerCase() : title
}
const roundingWords: Record<Way, string> = {
  nearest: 'loads rounded to the nearest that can be made',
  down: 'loads rounded down',
  up: 'loads rounded up',
}

const missedWords: Record<Missed, string> = {
  hold: 'missed sessions are skipped and the week’s sets come again',
  drop: 'missed sessions are skipped and the next week follows',
  shift: 'missed sessions move into the next week',
  repeat: 'a week with a missed session is repeated',
}
const policyWords: Record<DeloadPolicy, string> = {
  planned: 'planned deloads only',
  reactive: 'reactive deloads only',
  both: 'planned and reactive deloads',
}

function SettingsForm({ draft, onClose }: { draft: Template; onClose: () => void }) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const { maxes } = draft
  const [typed, setTyped] = useState({
    use: maxes.use as string,
    weeks: maxes.use === 'best' ? String(maxes.weeks) : '8',
    fresh: String(maxes.fresh ?? usualFresh),
    table: maxes.table ?? 'handbook',
    trainingMax: draft.trainingMax === undefined ? '' : String(draft.trainingMax),
    rounding: draft.rounding,
    missed: draft.missed,
    awayWeeks: draft.away ? String(draft.away.weeks) : '',
    awayBack: draft.away ? String(-draft.away.back) : '10',
    deloadPolicy: draft.deloadPolicy ?? ('both' as DeloadPolicy),
    warmUp: choiceOf(draft.warmUp),
    ladder: ladderText(draft.warmUp),
    ratios: draftRatios(maxes.ratios ?? []),
  })
  const [faults, setFaults] = useState<Partial<Record<keyof typeof typed, string>>>({})
  const put = (change: Partial<typeof typed>) => setTyped({ ...typed, ...change })
  const save = () => {
    const fresh = whole(typed.fresh, 1, 104)
    const weeks = whole(typed.weeks, 1, 104)
    const trainingMax = typed.trainingMax.trim() === '' ? null : typedNumber(typed.trainingMax)
    const warmUp = warmUpOf(typed.warmUp, typed.ladder)
    const found: typeof faults = {}
    if (!fresh) found.fresh = 'Whole weeks, 1 to 104.'
    if (typed.use === 'best' && !weeks) found.weeks = 'Whole weeks, 1 to 104.'
    if (trainingMax !== null && !(typeof trainingMax === 'number' && trainingMax >= 50 && trainingMax <= 100))
      found.trainingMax = 'A percent from 50 to 100, or nothing.'
    if (trainingMax === null && readsTrainingMax(draft))
      found.trainingMax = 'Loads of this template are percents of it.'
    if (warmUp === undefined) found.ladder = 'Sets like 40 × 5, 60 × 3, each at a higher percent, 10 to 95.'
    const awayWeeks = typed.awayWeeks.trim() === '' ? null : whole(typed.awayWeeks, 1, 52)
    const awayBack = whole(typed.awayBack, 1, 50)
    if (awayWeeks === null && typed.awayWeeks.trim()) found.awayWeeks = 'Whole weeks, 1 to 52, or nothing.'
    if (awayWeeks && !awayBack) found.awayBack = 'A whole percent, 1 to 50.'
    const ratios = readRatios(library, typed.ratios)
    if (!ratios) found.ratios = 'Each needs two lifts and a percent above 0, at most 150.'
    setFaults(found)
    if (Object.keys(found).length) return
    const next = {
      ...(typed.use === 'best' ? { use: 'best' as const, weeks } : { use: 'newest' as const }),
      fresh,
      table: typed.table,
      ...(ratios?.length && { ratios }),
    } as Template['maxes']
    const commands = [
      headCommand(draft, 'maxes', next),
      headCommand(draft, 'trainingMax', trainingMax as number | null),
      headCommand(draft, 'rounding', typed.rounding),
      headCommand(draft, 'warmUp', warmUp ?? null),
      headCommand(draft, 'missed', typed.missed),
      headCommand(draft, 'away', awayWeeks && awayBack ? { weeks: awayWeeks, back: -awayBack } : null),
      headCommand(draft, 'deloadPolicy', typed.deloadPolicy === 'both' ? null : typed.deloadPolicy),
    ].filter((command) => command !== null)
    if (commands.length)
      dispatch(edit(commands.length === 1 && commands[0] ? commands[0] : { do: 'several', commands }))
    onClose()
  }
  return (
    <form
      noValidate
      className="grid gap-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      <SelectField
        label="Percentages use"
        value={typed.use}
        onChange={(event) => put({ use: event.target.value })}
      >
        <option value="newest">the newest max</option>
        <option value="best">the best max of recent weeks</option>
      </SelectField>
      {typed.use === 'best' ? (
        <Field
          label="Recent weeks, weeks"
          inputMode="numeric"
          value={typed.weeks}
          error={faults.weeks}
          onChange={(event) => put({ weeks: event.target.value })}
        />
      ) : (
        <span className="hidden sm:block" />
      )}
      <Field
        label="A max is too old after, weeks"
        inputMode="numeric"
        value={typed.fresh}
        error={faults.fresh}
        onChange={(event) => put({ fresh: event.target.value })}
      />
      <SelectField
        label="Percentages for reps by"
        hint="Published tables differ by a few percent."
        value={typed.table}
        onChange={(event) => put({ table: event.target.value as RepTable })}
      >
        {repTables.map((table) => (
          <option key={table} value={table}>
            {repTableTitle(table)}
          </option>
        ))}
      </SelectField>
      <Field
        label="Training max, % of the 1RM"
        inputMode="decimal"
        placeholder="none"
        value={typed.trainingMax}
        error={faults.trainingMax}
        onChange={(event) => put({ trainingMax: event.target.value })}
      />
      <SelectField
        label="Rounding"
        hint="Deloads and test singles always round down."
        value={typed.rounding}
        onChange={(event) => put({ rounding: event.target.value as Way })}
      >
        <option value="nearest">to the nearest, ties up</option>
        <option value="down">down</option>
        <option value="up">up</option>
      </SelectField>
      <SelectField
        label="Warm-up before a lift"
        value={typed.warmUp}
        onChange={(event) => put({ warmUp: event.target.value as WarmUpChoice })}
      >
        {Object.entries(warmUpChoices).map(([choice, said]) => (
          <option key={choice} value={choice}>
            {said}
          </option>
        ))}
      </SelectField>
      {typed.warmUp === 'listed' && (
        <Field
          label="Warm-up sets: % × reps"
          hint="bar × 10 for the empty bar"
          value={typed.ladder}
          error={faults.ladder}
          onChange={(event) => put({ ladder: event.target.value })}
        />
      )}
      <SelectField
        label="Missed sessions of a week"
        hint="For members on the calendar, when the week is over."
        value={typed.missed}
        onChange={(event) => put({ missed: event.target.value as Missed })}
      >
        {missedPolicies.map((policy) => (
          <option key={policy} value={policy}>
            {missedChoices[policy]}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="Deloads"
        value={typed.deloadPolicy}
        onChange={(event) => put({ deloadPolicy: event.target.value as DeloadPolicy })}
      >
        {deloadPolicies.map((policy) => (
          <option key={policy} value={policy}>
            {policyChoices[policy]}
          </option>
        ))}
      </SelectField>
      <Field
        label="Reduce loads after weeks away"
        hint="Empty: none"
        inputMode="numeric"
        value={typed.awayWeeks}
        error={faults.awayWeeks}
        onChange={(event) => put({ awayWeeks: event.target.value })}
      />
      <Field
        label="Reduction in the first week back, %"
        inputMode="numeric"
        value={typed.awayBack}
        error={faults.awayBack}
        onChange={(event) => put({ awayBack: event.target.value })}
      />
      <RatioFields
        ratios={typed.ratios}
        offered={offeredRatios(library, draft)}
        error={faults.ratios}
        onChange={(ratios) => put({ ratios })}
      />
      <Button type="submit" className="sm:col-span-2">
        Save loads
      </Button>
    </form>
  )
}

const missedChoices: Record<Missed, string> = {
  hold: 'are skipped; the week’s sets come again next week',
  drop: 'are skipped; the next week follows',
  shift: 'move into the next week',
  repeat: 'make the whole week repeat',
}
const policyChoices: Record<DeloadPolicy, string> = {
  planned: 'planned deloads only',
  reactive: 'reactive deloads only',
  both: 'planned and reactive deloads',
}

const readsTrainingMax = ({ slots }: Template): boolean =>
  Object.values(slots).some(({ rows }) =>
    Object.values(rows)
      .flat(2)
      .some(({ load }) => load.of === 'trainingMax'),
  )

function headCommand(draft: Template, field: HeadField, to: Head): Command | null {
  const from = draft[field] ?? null
  return JSON.stringify(from) === JSON.stringify(to) ? null : { do: 'setHead', field, from, to }
}

function whole(text: string, from: number, to: number): number | null {
  const value = typedNumber(text)
  return typeof value === 'number' && Number.isInteger(value) && value >= from && value <= to ? value : null
}
