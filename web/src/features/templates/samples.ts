import { useLibrary } from '../library/useLibrary.ts'
import { useMemo } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import { sampleMember, type Strength } from '@young-oak/core/dryRun'
import type { Template } from '@young-oak/core/template'
import { today } from '../../app/today.ts'

export const strengths: Strength[] = ['light', 'strong']
export const sampleId = (strength: Strength): string => `sample:${strength}`
export const sampleNames: Record<Strength, string> = {
  light: 'a light lifter, made up',
  strong: 'a strong lifter, made up',
}

/** Somebody made up with a max of every lift, so that loads and minutes can be seen before there is anybody. */
export function useSample(draft: Template | null, member: string): MemberFile | null {
  const library = useLibrary()
  const strength = strengths.find((one) => sampleId(one) === member)
  const lifts =
    draft && JSON.stringify(Object.values(draft.slots).map(({ exercise, variant }) => [exercise, variant]))
  return useMemo(() => {
    if (!strength || !draft) return null
    const made = sampleMember(library, draft, strength, today())
    return { name: sampleNames[strength], member: made, enrolments: [], versions: {}, templates: {} }
    // Made anew only where other lifts stand in the template: an edit of a cell changes nothing about the person.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [strength, lifts])
}
