import type { Fact } from '../facts/index.ts'
import { resolve, type Enrolment, type Segment } from '../member/index.ts'
import type { Id } from '../parsing/index.ts'

type Word = Extract<Fact, { kind: 'track' }>

/** Enrolments with the tracks that the member alone has: what a member says goes before what is published, until they give that its place back. */
export function withOwnTracks(enrolments: readonly Enrolment[], facts: readonly Fact[]): Enrolment[] {
  const words = new Map<Id, Word[]>()
  if (facts.some(({ kind }) => kind === 'track'))
    for (const fact of resolve(facts))
      if (fact.kind === 'track') words.set(fact.enrolment, [...(words.get(fact.enrolment) ?? []), fact])
  return enrolments.map((one) => {
    const own = words.get(one.id)
    return own ? { ...one, segments: segmentsWith(one.segments, own.sort(byDay)) } : one
  })
}

const byDay = (a: Word, b: Word): number => {
  if (a.actsFrom !== b.actsFrom) return a.actsFrom < b.actsFrom ? -1 : 1
  return a.id < b.id ? -1 : 1
}

/** A segment more where a word changes the track between two of them; a word from before the first acts from its day on. */
function segmentsWith(segments: readonly Segment[], words: readonly Word[]): Segment[] {
  const [first] = segments
  if (!first) return []
  const days = [...segments.map(({ from }) => from), ...words.map(({ actsFrom }) => actsFrom)]
  const begun = [...new Set(days)].filter((day) => day >= first.from).sort()
  return begun.map((day) => {
    const segment = segments.findLast(({ from }) => from <= day) ?? first
    const word = words.findLast(({ actsFrom }) => actsFrom <= day)
    const track = word && word.track !== undefined ? (word.track ?? undefined) : segment.track
    const made: Segment = { from: day, version: segment.version }
    if (track !== undefined) made.track = track
    if (segment.from === day && segment.begins) made.begins = segment.begins
    return made
  })
}
