import { trainingAges, type Adjustment, type TrainingAge, type Where } from '@young-oak/core/adjustments'
import type { Library, Muscle } from '@young-oak/core/library'
import { deloadKinds, deloadOf, everyNth, placeDeload, type DeloadKind } from '@young-oak/core/deloads'
import {
  checkCommand,
  nominalWeeks,
  sayIssue,
  type Command,
  type Phase,
  type Template,
} from '@young-oak/core/template'
import type { Faults, Read } from '../../../app/draftResolver.ts'
import { draftOf, faultsOf, unflatten, type ParamDraft } from '../../params/paramDraft.ts'
import { mint } from '../mint.ts'

/** A deload as it is chosen and typed; the weeks are counted from the first of the phase. */
export type DeloadDraft = {
  kind: DeloadKind
  params: ParamDraft
  weeks: number[]
  muscles: Muscle[]
  /** Whom it is for, as a choice says it; everyone where it is empty. */
  whom: string
}

/** Whom a deload may be for: those on a track, or of a training age. */
export const whomChoices = ({ tracks }: Template): [value: string, said: string][] => [
  ['', 'everyone'],
  ...Object.entries(tracks).map(([id, { name }]): [string, string] => [`track ${id}`, `on ${name}`]),
  ...(Object.keys(tracks).length ? [['track none', 'on no track'] as [string, string]] : []),
  ['under underOneYear', 'under one year of training, or not told'],
  ['under oneToThreeYears', 'up to three years of training, or not told'],
  ['over overThreeYears', 'over three years of training'],
  ['over oneToThreeYears', 'over one year of training'],
]

/** The choice as a deload stores it. */
function whomOf(whom: string): Where {
  const [what = '', id = ''] = whom.split(' ')
  if (what === 'track') return { tracks: [id] }
  const at = trainingAges.indexOf(id as TrainingAge)
  if (what === 'under') return { training: ['untold', ...trainingAges.slice(0, at + 1)] }
  return what === 'over' ? { training: trainingAges.slice(at) } : {}
}

/** A taper is for a phase that ends with a test. */
export const kindsFor = ({ ends }: Phase): DeloadKind[] =>
  deloadKinds.filter((kind) => kind !== 'taper' || ends !== undefined)

export const starterOf = (kind: DeloadKind): ParamDraft =>
  draftOf(deloadOf[kind], deloadOf[kind].examples[0]?.params ?? {})

/** Every fourth week, or the last one of a short phase. */
export function newDeload(phase: Phase): DeloadDraft {
  const weeks = nominalWeeks(phase)
  return {
    kind: 'fewerSets',
    params: starterOf('fewerSets'),
    weeks: weeks > 3 ? everyNth(weeks, 4) : [weeks],
    muscles: [],
    whom: '',
  }
}

/** The deload as a sentence, once its parameters are complete. */
export function sayDeload({ kind, params: typed }: Pick<DeloadDraft, 'kind' | 'params'>): string | null {
  const { params, sentence } = deloadOf[kind]
  const to = unflatten(typed)
  return params.isValidSync(to, { strict: true }) ? sentence(to) : null
}

/** The command that puts the deload into the phase; or what is wrong with it, field by field. */
export function readDeload(
  library: Library,
  draft: Template,
  phase: Phase,
  given: DeloadDraft,
): Read<{ command: Command }> {
  const { kind, params: typed, weeks: chosen, muscles } = given
  const wrong = faultsOf(deloadOf[kind], typed)
  const faults: Faults = {
    ...(Object.keys(wrong).length && { params: wrong }),
    ...(kind !== 'taper' && !chosen.length && { weeks: 'Choose at least one week.' }),
  }
  if (Object.keys(faults).length) return { faults }
  const placing = phase.ends
    ? { toTest: chosen.map((week) => nominalWeeks(phase) - week) }
    : { weeks: chosen }
  const placed = placeDeload(kind, unflatten(typed), placing, mint, kind === 'fewerDays' ? [] : muscles)
  const own = placed.map((one): Adjustment => ({ ...one, where: { ...one.where, ...whomOf(given.whom) } }))
  const { id, deloads } = phase
  const command: Command = { do: 'setDeloads', phase: id, from: deloads, to: [...deloads, ...own] }
  const [issue] = checkCommand(library, draft, command)
  return issue ? { faults: { root: sayIssue(library, draft, issue) } } : { value: { command } }
}
