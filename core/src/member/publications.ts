import type { Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import type { Enrolment, Segment } from './types.ts'

/** What a publication says of one member: only what it changes, the rest stays. */
export type Publication = {
  /** The gym's number of it, in the order in which publications came into force. */
  number: number
  /** The enrolment that it begins or changes. */
  enrolment: Id
  from: Day
  version?: Id
  /** Null for none. */
  track?: Id | null
  begins?: 'week' | 'session'
  /** Of the enrolment, where it begins it. */
  clock?: 'own' | 'calendar'
  /** Of an enrolment that it begins: the one that it follows. */
  after?: Id
  /** Of an enrolment that it begins: the one whose last loads it starts from. */
  carries?: Id
  /** Enrolments that are over from its day on. */
  ends?: Id[]
  /** The day on which it was taken back. */
  withdrawn?: Day
}

/** A session was started under a version of an enrolment. */
export type StartUnder = { enrolment: Id | null; version: Id | undefined; date: Day }

/**
 * A publication that was taken back counts for whoever had started under it, between its day and that one. Of a start that shows no version, as on
 * paper, the enrolment is enough.
 */
export const countsStill = (publication: Publication, starts: readonly StartUnder[]): boolean =>
  publication.withdrawn === undefined ||
  starts.some(
    ({ enrolment, version, date }) =>
      enrolment === publication.enrolment &&
      (version === undefined || version === publication.version) &&
      date >= publication.from &&
      date <= (publication.withdrawn as Day),
  )

/**
 * A member's enrolments as publications that count leave them: on each day, of those begun, the highest number says the version, and the highest
 * that speaks of one the track. An enrolment that was over before it began is none.
 */
export function enrolmentsIn(counting: readonly Publication[]): Enrolment[] {
  const inOrder = [...counting].sort((a, b) => a.number - b.number)
  const ids = [...new Set(inOrder.map(({ enrolment }) => enrolment))]
  return ids.flatMap((id) => {
    const own = inOrder.filter(({ enrolment }) => enrolment === id)
    const segments = segmentsOf(own)
    const to = inOrder.flatMap(({ ends, from }) => (ends?.includes(id) ? [from] : [])).sort()[0]
    const start = segments[0]?.from
    if (start === undefined || (to !== undefined && to <= start)) return []
    const clock = own.find((one) => one.clock)?.clock
    const after = own.find((one) => one.after)?.after
    const carries = own.find((one) => one.carries)?.carries
    return [
      {
        id,
        ...(clock && { clock }),
        segments,
        ...(to !== undefined && { to }),
        ...(after && { after }),
        ...(carries && { carries }),
      },
    ]
  })
}

function segmentsOf(own: Publication[]): Segment[] {
  const days = [...new Set(own.map(({ from }) => from))].sort()
  const segments: Segment[] = []
  let before = ''
  for (const day of days) {
    const begun = own.filter(({ from }) => from <= day)
    const saysVersion = begun.findLast(({ version }) => version !== undefined)
    const saysTrack = begun.findLast(({ track }) => track !== undefined)
    if (!saysVersion) continue
    const says = `${saysVersion.number} ${saysTrack?.number}`
    if (says === before) continue
    before = says
    const { version = '' } = saysVersion
    const track = saysTrack?.track ?? undefined
    const newest = begun.findLast((one) => one.from === day && (one === saysVersion || one === saysTrack))
    segments.push({
      from: day,
      version,
      ...(track !== undefined && { track }),
      ...(newest?.begins && { begins: newest.begins }),
    })
  }
  return segments
}

/** Enrolments that somebody has ended by a word of their own, and from which day. */
type Ended = { ended: Record<Id, Day> }

/** From which day an enrolment is over, by a publication or by somebody's word; null while nobody has said so. */
export function overFrom({ id, to }: Enrolment, { ended }: Ended): Day | null {
  const own = ended[id]
  if (own === undefined) return to ?? null
  return to !== undefined && to < own ? to : own
}

/** Whether an enrolment was over before a day: a session that is started on its last day still belongs to it. */
export function isOverBefore(enrolment: Enrolment, known: Ended, day: Day): boolean {
  const from = overFrom(enrolment, known)
  return from !== null && from < day
}

/** The enrolments that go on or begin after a day, the one that began last first. */
export const goingOn = (enrolments: readonly Enrolment[], known: Ended, day: Day): Enrolment[] =>
  enrolments
    .filter((one) => {
      const over = overFrom(one, known)
      return over === null || over > day
    })
    .sort((a, b) => (startOf(a) < startOf(b) ? 1 : -1))

const startOf = ({ segments }: Enrolment): Day => segments[0]?.from ?? ''
