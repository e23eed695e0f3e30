import type { Control, FieldErrors, UseFormRegister } from 'react-hook-form'
import type { Publication } from '@young-oak/api/forms/publication'
import type { MemberLine } from '@young-oak/api/members'
import type { Template } from '@young-oak/core/template'
import { Details } from '../../ui/Details.tsx'
import { FormMark } from '../../ui/FormMark.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import { OwnStarts } from './OwnStarts.tsx'
import { OwnTracks } from './OwnTracks.tsx'
import { TrackRules } from './TrackRules.tsx'
import { tracksIn, type TrackRuleDraft } from './trackRules.ts'

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
  /** Puts members on a track, or back where rules have them. */
  onTrack: (members: string[], track: string | null) => void
}

/** What few publications need: first days of each member’s own, which weeks members see, and where there are tracks, who is on which by rule, by hand and by the member’s own choice. */
export function MoreFields({ control, draft, rules, isTried, onRules, onTrack, ...ofDays }: Props) {
  const hasTracks = Object.keys(draft.tracks).length > 0
  return (
    <Details
      title={
        hasTracks
          ? 'First days, weeks that members see, tracks by rule and by hand'
          : 'First days, weeks that members see'
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
            <OwnTracks control={control} tracks={tracksIn(draft)} chosen={ofDays.chosen} onTrack={onTrack} />
          </>
        )}
      </div>
    </Details>
  )
}
