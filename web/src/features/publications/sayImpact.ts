import type { Impact } from '@young-oak/core/impact'
import type { ImpactKind } from '@young-oak/api/publications'
import { liftName, type Library } from '@young-oak/core/library'

/** What a kind says of so many members, read after their number. */
const kinds: Record<ImpactKind, [one: string, several: string]> = {
  jump: ['has a lift that jumps by 5% or more, by e1RM', 'have a lift that jumps by 5% or more, by e1RM'],
  needs: ['has no max for a lift that needs one', 'have no max for a lift that needs one'],
  done: [
    'has finished the program: choose “start over”, or leave this member out',
    'have finished the program: choose “start over”, or leave them out',
  ],
  findings: ['has something new to check', 'have something new to check'],
  short: ['lacks plates for a load', 'lack plates for a load'],
  longer: [
    'has a session that gets 10 minutes longer or more',
    'have a session that gets 10 minutes longer or more',
  ],
  beside: ['keeps another program beside this one', 'keep another program beside this one'],
  ends: ['ends another program', 'end another program'],
  follows: ['starts this program after the current one', 'start this program after the current one'],
  midWeek: ['is in the middle of a week', 'are in the middle of a week'],
  deload: ['is in a deload', 'are in a deload'],
  paused: ['has paused', 'have paused'],
  keepsTrack: [
    'keeps a track of their own, whatever is chosen here',
    'keep a track of their own, whatever is chosen here',
  ],
  starts: ['starts the program', 'start the program'],
  moves: [
    'gets different sets or loads in the next two weeks',
    'get different sets or loads in the next two weeks',
  ],
  same: [
    'keeps the same sets and loads in the next two weeks',
    'keep the same sets and loads in the next two weeks',
  ],
}
export const sayKind = (kind: ImpactKind, members: number): string => kinds[kind][members === 1 ? 0 : 1]

/** Kinds that a writer looks at before publishing; the others are for information. */
const worth: readonly ImpactKind[] = ['jump', 'needs', 'done', 'findings', 'short', 'longer', 'beside']
export const isWorthALook = (kind: ImpactKind): boolean => worth.includes(kind)

/** What makes a member one of a kind, in a line. */
export function sayMember(library: Library, kind: ImpactKind, impact: Impact): string {
  const names = (lifts: Impact['needs']) => lifts.map((lift) => liftName(library, lift)).join(', ')
  const { jump, needs, short, longer, findings, beside, ends, follows, lines, changed } = impact
  switch (kind) {
    case 'jump':
      return jump
        ? `${liftName(library, jump.lift)}: ${jump.from} → ${jump.to}, ${jump.percent}% more by e1RM`
        : ''
    case 'needs':
      return names(needs)
    case 'short':
      return names(short)
    case 'longer':
      return longer ? `${longer.session}: about ${longer.before} → ${longer.after} minutes` : ''
    case 'findings':
      return findings.map(({ where, what }) => `${where}: ${what}`).join(' ')
    case 'beside':
      return beside.join(', ')
    case 'ends':
      return ends.join(', ')
    case 'follows':
      return `after ${follows.join(', ')}`
    case 'done':
      return ''
    case 'midWeek':
    case 'deload':
    case 'paused':
    case 'keepsTrack':
    case 'starts':
    case 'moves':
    case 'same': {
      const [first] = lines
      if (!first) return ''
      const says = first.before === null ? first.after : `${first.before} → ${first.after ?? 'left out'}`
      const more = changed > 1 ? `, and ${changed - 1} more` : ''
      return `Week ${first.week}, day ${first.day}, ${liftName(library, first.lift)}: ${says}${more}`
    }
  }
}
