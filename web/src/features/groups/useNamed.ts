import { useMemo } from 'react'
import { api } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { useLibrary } from '../library/useLibrary.ts'
import { groupsApi } from './groupsApi.ts'
import type { Named } from './rule.ts'

const byId = (lines: readonly { id: string; name: string }[] | undefined): Record<string, string> =>
  Object.fromEntries((lines ?? []).map(({ id, name }) => [id, name]))

/** What the rules of the gym name, by id. */
export function useNamed(): Named {
  const library = useLibrary()
  const { data: templates } = api.useTemplatesQuery()
  const { data: groups } = groupsApi.useGroupsQuery()
  const { data: locations } = api.useLocationsQuery(today())
  return useMemo(
    () => ({
      library,
      programs: byId(templates),
      groups: byId(groups?.filter(({ rule }) => rule === null)),
      locations: byId(locations),
    }),
    [library, templates, groups, locations],
  )
}
