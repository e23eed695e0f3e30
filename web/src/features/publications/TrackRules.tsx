import type { Template } from '@young-oak/core/template'
import { Button } from '../../ui/Button.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { RuleFields } from '../groups/RuleFields.tsx'
import { useNamed } from '../groups/useNamed.ts'
import { newTrackRule, trackRuleFaults, tracksIn, type TrackRuleDraft } from './trackRules.ts'

type Props = {
  draft: Template
  rules: TrackRuleDraft[]
  /** Faults are said once it was tried to publish. */
  isTried: boolean
  onChange: (rules: TrackRuleDraft[]) => void
}

const most = 8

/** Tracks by rules on what is known of members: the first rule that a member fits gives the track. */
export function TrackRules({ draft, rules, isTried, onChange }: Props) {
  const named = useNamed()
  const tracks = tracksIn(draft)
  const put = (i: number, change: Partial<TrackRuleDraft>) =>
    onChange(rules.map((one, at) => (at === i ? { ...one, ...change } : one)))
  return (
    <section aria-label="Track rules" className="grid gap-3">
      {rules.length > 0 && (
        <p className="text-sm text-bark">
          The first rule that a member fits gives the track. The track above is for members who fit none.
        </p>
      )}
      {rules.map((one, i) => (
        <div key={i} className="grid gap-3 border-l-2 border-line pl-3">
          <RuleFields
            legend={`Rule ${i + 1}: if the member`}
            rule={one.rule}
            named={named}
            faults={isTried ? trackRuleFaults(one) : {}}
            onChange={(rule) => put(i, { rule })}
          />
          <div className="flex flex-wrap items-end gap-3">
            <SelectField
              label={`Track of rule ${i + 1}`}
              value={one.track}
              options={tracks}
              onChoose={(track) => put(i, { track })}
            />
            <Button look="quiet" onClick={() => onChange(rules.filter((_, at) => at !== i))}>
              Remove rule {i + 1}
            </Button>
          </div>
        </div>
      ))}
      {rules.length < most && (
        <Button
          look="plain"
          className="justify-self-start text-sm"
          onClick={() => onChange([...rules, newTrackRule(tracks[1]?.[0] ?? '')])}
        >
          Add a track rule
        </Button>
      )}
    </section>
  )
}
