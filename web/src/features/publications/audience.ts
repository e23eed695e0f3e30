import type { MemberLine } from '@young-oak/api/members'
import { addDays, type Day } from '@young-oak/core/units'

/** Which members a writer looks through for an audience. */
export const filters = ['all', 'running', 'elsewhere', 'free', 'away'] as const
export type Filter = (typeof filters)[number]

/** So many days without a session are long. */
const longAway = 14

export const filterTitles: Record<Filter, string> = {
  all: 'All members',
  running: 'On this program',
  elsewhere: 'On another program',
  free: 'On no program',
  away: `No session for ${longAway} days`,
}

const fits: Record<Filter, (member: MemberLine, name: string, day: Day) => boolean> = {
  all: () => true,
  running: ({ programs }, name) => programs.includes(name),
  elsewhere: ({ programs }, name) => programs.some((one) => one !== name),
  free: ({ programs }) => !programs.length,
  away: ({ lastSession }, _name, day) => lastSession === null || lastSession < addDays(day, -longAway),
}

/** Who is in a group, of the asker's own members by id; how many others are. */
export type InGroup = { own: ReadonlySet<string>; others: number }

/** The asker's own members who fit a filter, or are in a group, and whose names hold what was typed; and how many others fit, who are not theirs. */
export function fitting(
  members: MemberLine[],
  { filter, typed }: { filter: Filter | InGroup; typed: string },
  name: string,
  day: Day,
): { own: MemberLine[]; others: number } {
  const wanted = typed.trim().toLowerCase()
  const isNamed = (member: MemberLine) => member.name.toLowerCase().includes(wanted)
  if (typeof filter === 'object') {
    const { own, others } = filter
    return { own: members.filter((member) => own.has(member.id) && isNamed(member)), others }
  }
  const found = members.filter((member) => fits[filter](member, name, day) && isNamed(member))
  const own = found.filter(({ isMine }) => isMine)
  return { own, others: found.length - own.length }
}
