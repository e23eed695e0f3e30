import { skipToken } from '@reduxjs/toolkit/query/react'
import { useMemo } from 'react'
import type { Option } from '../../ui/Select.tsx'
import { groupsApi } from './groupsApi.ts'

/** A group among the choices of what to show. */
export type GroupChoice = `group ${string}`
const prefix = 'group '

/** The gym’s groups as choices of a filter, and who is in the chosen one; null where none is chosen, or it is not known yet. */
export function useGroupFilter(chosen: string): {
  options: Option<GroupChoice>[]
  isGroup: boolean
  found: { own: ReadonlySet<string>; others: number } | null
} {
  const { data: groups = [] } = groupsApi.useGroupsQuery()
  const isGroup = chosen.startsWith(prefix)
  const { currentData } = groupsApi.useGroupMembersQuery(isGroup ? chosen.slice(prefix.length) : skipToken, {
    refetchOnMountOrArgChange: true,
  })
  const found = useMemo(
    () => (isGroup && currentData ? { own: new Set(currentData.members), others: currentData.others } : null),
    [isGroup, currentData],
  )
  return {
    options: groups.map(({ id, name }) => [`${prefix}${id}` as GroupChoice, `Group: ${name}`]),
    isGroup,
    found,
  }
}
