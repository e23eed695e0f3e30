import type { Publication } from '@young-oak/api/forms/publication'
import type { MemberLine } from '@young-oak/api/members'
import type { Template } from '@young-oak/core/template'
import { formatDay, isDay } from '@young-oak/core/units'
import { chosenOn } from './publication.ts'

export const countOf = (members: number): string => `${members} ${members === 1 ? 'member' : 'members'}`

/** What publishing will do, in full sentences: version, to how many, from when, who changes over and who starts, on which track, beside what. */
export function sayPublication(
  {
    members,
    start,
    onUsualDay,
    ownStarts,
    ownTracks,
    begins,
    clock,
    track,
    choosesTrack,
    opens,
    others,
    carry,
  }: Publication,
  {
    draft,
    version,
    chosen,
    rules,
  }: { draft: Template; version: number; chosen: MemberLine[]; rules: number },
): string {
  const { name } = draft
  const running = chosen.filter(({ programs }) => programs.includes(name)).length
  const starting = chosen.length - running
  const elsewhere = chosen.filter(({ programs }) => programs.some((one) => one !== name)).length
  const from = isDay(start) ? `from ${formatDay(start)}` : 'from a day that you have yet to choose'
  const sentences = [`Version ${version} of ${name} to ${countOf(chosen.length)}, ${from}.`]
  if (onUsualDay) sentences.push('Each starts on the first of their usual days.')
  const own = ownStarts.filter(({ member }) => members.includes(member)).length
  if (own) sentences.push(`${countOf(own)} ${own === 1 ? 'has' : 'have'} a first day of their own.`)
  if (running)
    sentences.push(
      begins === 'again'
        ? `${running} already on the program ${running === 1 ? 'starts' : 'start'} over with week 1.`
        : `${running} already on the program ${running === 1 ? 'changes' : 'change'} with their next ${begins}.`,
    )
  if (starting)
    sentences.push(
      `${starting} ${starting === 1 ? 'starts' : 'start'} the program; ${clock === 'own' ? 'a week ends when its sessions are done' : 'weeks end on their dates'}.`,
    )
  const byHand = chosenOn(ownTracks, members)
  sentences.push(sayTrack(draft, track, { rules, byHand: byHand.length > 0 }))
  for (const { track: on, members: own } of byHand)
    sentences.push(`By hand, ${countOf(own.length)} on ${trackName(draft, on)}.`)
  if (choosesTrack) sentences.push('Members may choose another track.')
  if (opens !== 'all')
    sentences.push(
      opens === '0' ? 'They see the running week alone.' : 'They see the running week and the next.',
    )
  if (elsewhere)
    sentences.push(
      others === 'replace'
        ? `Other programs of ${elsewhere} of these members end on that day.`
        : others === 'follow'
          ? `${elsewhere} of these members ${elsewhere === 1 ? 'finishes' : 'finish'} another program first.`
          : `${elsewhere} of these members ${elsewhere === 1 ? 'keeps' : 'keep'} another program beside this one.`,
    )
  if (carry) sentences.push('Those who start go on with the last loads of their program before.')
  return sentences.filter(Boolean).join(' ')
}

function sayTrack(
  draft: Template,
  track: string,
  { rules, byHand }: { rules: number; byHand: boolean },
): string {
  if (!Object.keys(draft.tracks).length) return ''
  const others = rules ? 'Tracks by rule; all others' : byHand ? 'All others' : ''
  if (track === 'keep') return others ? `${others} keep their track.` : 'Each member keeps their track.'
  return `${others || 'All'} on ${trackName(draft, track)}.`
}

const trackName = ({ tracks }: Template, track: string): string =>
  track ? `the track ${tracks[track]?.name ?? track}` : 'the template as written'
