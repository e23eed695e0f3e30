import { exerciseOf, type Lift } from '../library/index.ts'
import { at, type Checker, type Id } from '../parsing/index.ts'
import type { Template } from '../template/index.ts'
import { countsStill, enrolmentsIn, type Publication } from './publications.ts'
import { enrolmentShape, publicationShape, sessionLogShape, setLogShape } from './shape.ts'
import { readShown } from './shown.ts'
import { sessionLogId, setLogId } from './places.ts'
import type { Enrolment, SessionLog, SetLog } from './types.ts'

/** The enrolments of a member file, beside the versions that they may name; the first of them where they name none. */
export function readEnrolments(
  checker: Checker,
  given: unknown[],
  versions: Record<Id, Template>,
): Enrolment[] {
  const enrolments = given.flatMap(
    (one, i) => readEnrolment(checker, one, at('enrolments', i), versions) ?? [],
  )
  enrolments.forEach(({ id }, i) => {
    if (enrolments.findIndex((one) => one.id === id) < i)
      checker.add(at(at('enrolments', i), 'id'), 'an id that no other enrolment has', id)
  })
  return enrolments
}

/** The publications of a member file, whose enrolments need not be named beside them. */
export function readPublications(
  checker: Checker,
  given: unknown[],
  versions: Record<Id, Template>,
): Publication[] {
  return given.flatMap((one, i) => {
    const path = at('publications', i)
    const publication = checker.check(publicationShape, one, path) as Publication | undefined
    if (!publication) return []
    const { version, track } = publication
    if (version !== undefined && !versions[version])
      checker.add(at(path, 'version'), `one of ${Object.keys(versions).join(', ')}`, version)
    const tracks = version === undefined ? [] : Object.keys(versions[version]?.tracks ?? {})
    if (version !== undefined && track && !tracks.includes(track))
      checker.add(at(path, 'track'), `a track of this template (${tracks.join(', ') || 'none'})`, track)
    return [publication]
  })
}

/**
 * The enrolments that stand, those of publications after those that a file states. Without logs, every enrolment that was ever published: what a
 * log may name.
 */
export function settleEnrolments(
  checker: Checker,
  stated: Enrolment[],
  publications: Publication[],
  logs: SessionLog[] | null,
): Enrolment[] {
  const starts = logs?.map(({ enrolment, shown, date }) => ({ enrolment, version: shown?.version, date }))
  const counting = publications.filter((one) => !starts || countsStill(one, starts))
  const published = enrolmentsIn(starts ? counting : counting.map(({ ends: _, ...one }) => one))
  const twice = published.findIndex(({ id }) => stated.some((one) => one.id === id))
  if (twice >= 0 && !starts)
    checker.add('publications', 'enrolments that "enrolments" does not have', published[twice]?.id)
  return [...stated, ...published]
}

function readEnrolment(
  checker: Checker,
  value: unknown,
  path: string,
  versions: Record<Id, Template>,
): Enrolment | undefined {
  const enrolment = checker.check(enrolmentShape, value, path)
  if (!enrolment) return undefined
  const names = Object.keys(versions)
  const segments = enrolment.segments.map((segment, i) => {
    const version = segment.version ?? (names[0] as Id)
    const place = at(at(path, 'segments'), i)
    const template = versions[version]
    if (!template) checker.add(at(place, 'version'), `one of ${names.join(', ')}`, version)
    else if (segment.track !== undefined && !template.tracks[segment.track]) {
      const tracks = Object.keys(template.tracks).join(', ') || 'none'
      checker.add(at(place, 'track'), `a track of this template (${tracks})`, segment.track)
    }
    return { ...segment, version }
  })
  const { id = 'enrolment', clock, after, carries } = enrolment
  return {
    id,
    ...(clock && { clock }),
    segments,
    ...(after !== undefined && { after }),
    ...(carries !== undefined && { carries }),
  }
}

/** Only on top of body weight is there a load of 0, or one that helps. */
export function findOnBody(
  checker: Checker,
  { load, help, ...lift }: Pick<SetLog, 'load' | 'help'> & Lift,
  path: string,
): void {
  if (exerciseOf(checker.library, lift).tool === 'body weight') return
  if (load?.value === 0) checker.add(at(path, 'load.value'), 'a load above 0, at most 1000', 0)
  if (help) checker.add(at(path, 'help'), 'a body-weight exercise beside it', help)
}

const mostSets = 5000

export function readLog(
  checker: Checker,
  value: unknown,
  path: string,
  enrolments: Enrolment[],
  versions: Record<Id, Template>,
): SessionLog | undefined {
  const log = checker.check(sessionLogShape, value, path)
  if (!log) return undefined
  const attempt = log.attempt ?? 1
  const enrolment = log.enrolment === null ? null : (log.enrolment ?? enrolments[0]?.id ?? '')
  const position = log.position ?? 0
  if (log.enrolment === undefined && enrolments.length > 1)
    checker.add(at(path, 'enrolment'), 'which of the enrolments', undefined, 'Add it.')
  const id = log.id ?? sessionLogId(enrolment ?? '', log.at ?? position, attempt)
  const own = enrolments.filter((one) => one.id === enrolment)
  const slots: Template['slots'] = Object.assign(
    {},
    ...own.flatMap(({ segments }) => segments.map(({ version }) => versions[version]?.slots ?? {})),
  )
  const sets = checker
    .list(log.sets, at(path, 'sets'), mostSets)
    .flatMap((set, i) => readSet(checker, set, at(at(path, 'sets'), i), id, slots) ?? [])
  findTwice(checker, log.sets as unknown[], sets, at(path, 'sets'))
  const shown = log.shown === undefined ? undefined : readShown(checker, log.shown, at(path, 'shown'))
  const starts = log.starts?.map((start, i) =>
    start.shown === undefined
      ? start
      : { ...start, shown: readShown(checker, start.shown, at(at(at(path, 'starts'), i), 'shown')) },
  )
  return {
    ...log,
    id,
    rev: log.rev ?? 1,
    enrolment,
    position,
    attempt,
    ordinal: log.ordinal ?? 1,
    closed: log.closed ?? true,
    shown,
    ...(starts && { starts }),
    sets,
  } as SessionLog
}

/** Two entries that would be one and the same set, and say different things of it: neither may be lost. */
function findTwice(checker: Checker, given: unknown[], sets: SetLog[], path: string): void {
  if (given.length !== sets.length) return
  sets.forEach((set, i) => {
    const before = sets.findIndex(
      (one) => one.id === set.id && one.rev === set.rev && one.change === set.change,
    )
    if (before === i || JSON.stringify(sets[before]) === JSON.stringify(set)) return
    const fix = `${path}[${before}] is set ${set.n} too: give one another number, or the later one a higher "rev".`
    checker.add(at(at(path, i), 'n'), 'a number that no other set of the slot has', set.n, fix)
  })
}

function readSet(
  checker: Checker,
  value: unknown,
  path: string,
  session: string,
  slots: Template['slots'],
): SetLog | undefined {
  const set = checker.check(setLogShape, value, path)
  if (!set) return undefined
  const slot = slots[set.slot]
  if (!slot && !set.exercise) {
    checker.add(at(path, 'slot'), 'a slot of the template, or an exercise beside it', set.slot)
    return undefined
  }
  const lift = set.exercise
    ? {}
    : { exercise: slot?.exercise, ...(slot?.variant && { variant: slot.variant }), asAsked: true }
  const made = {
    state: 'done',
    ...lift,
    ...set,
    n: set.n ?? 0,
    id: set.id ?? setLogId(session, set.slot, set.n ?? 0),
    rev: set.rev ?? 1,
  } as SetLog
  findOnBody(checker, made, path)
  return made
}
