import { useState } from 'react'
import type { Template } from '@young-oak/core/template'
import { api, sayError } from '../../app/api.ts'
import { useSample } from './samples.ts'

/** Whose loads stand beside the lines: nobody's, those of somebody made up, or a member's as the server has them. */
export function useMemberFile(draft: Template | null) {
  const [member, setMember] = useState('')
  const sample = useSample(draft, member)
  const { data, error } = api.useMemberFileQuery(member, {
    skip: !member || sample !== null,
    refetchOnMountOrArgChange: true,
  })
  const file = sample ?? data
  return {
    member,
    setMember,
    file,
    fault: error && !sample ? sayError(error) : undefined,
    memberName: member ? file?.name : undefined,
  }
}
