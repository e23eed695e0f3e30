import type { Control, FieldErrors, UseFormRegister } from 'react-hook-form'
import type { Publication } from '@young-oak/api/forms/publication'
import type { MemberLine } from '@young-oak/api/members'
import type { Template } from '@young-oak/core/template'
import { Details } from '../../ui/Details.tsx'
import { FormMark } from '../../ui/FormMark.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import { OwnStarts } from './OwnStarts.tsx'
import { TrackRules } from './TrackRules.tsx'
import type { TrackRuleDraft } from './trackRules.ts'

type Props = {
  register: UseFormRegister<Publication>
  control: Control<Publication>
  errors: FieldErrors<Publication>
  refused: Record<string, string>
  chosen: readonly MemberLine[]
  onMember: (at: number, member: string) => void
  draft: Template
  rules: TrackRuleDraft[]
  isTried: boolean
  onRules: (rules: TrackRuleDraft[]) => void
}

/** What few publications need: first days of each member’s own, which weeks members see, and where there are tracks, rules for them and the member’s own choice. */
export function MoreFields({ control, draft, rules, isTried, onRules, ...ofDays }: Props) {
  const hasTracks = Object.keys(draft.tracks).length > 0
  return (
    <Details
      title={
        hasTracks ? 'First days, weeks that members see, track rules' : 'First days, weeks that members see'
      }
      className="-mt-2"
    >
      <div className="grid gap-3">
        <OwnStarts control={control} {...ofDays} />
        <FormSelect
          control={control}
          name="opens"
          label="Weeks that members see"
          options={[
            ['all', 'all weeks'],
            ['0', 'the running week'],
            ['1', 'the running week and the next'],
          ]}
        />
        {hasTracks && (
          <>
            <FormMark
              control={control}
              name="choosesTrack"
              label="Members may choose another track themselves"
            />
            <TrackRules draft={draft} rules={rules} isTried={isTried} onChange={onRules} />
          </>
        )}
      </div>
    </Details>
  )
}
