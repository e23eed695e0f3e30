import { ruleSchema } from '@young-oak/api/conditions'
import type { Template } from '@young-oak/core/template'
import type { Option } from '../../ui/Select.tsx'
import type { TrackRule } from '@young-oak/api/publications'
import { faultsOf } from '../../app/faultsOf.ts'
import { conditionOf, newCondition, type ConditionDraft } from '../groups/rule.ts'

/** A track for whoever fits a rule, as a form holds it; '' for the template as written. */
export type TrackRuleDraft = { rule: ConditionDraft[]; track: string }

/** The tracks that somebody can be put on, the template as written among them; none where it has none. */
export function tracksIn({ tracks }: Template): Option<string>[] {
  const own = Object.entries(tracks).map(([id, { name }]): Option<string> => [id, name])
  return own.length ? [['', 'as written'], ...own] : []
}

export const newTrackRule = (track: string): TrackRuleDraft => ({
  rule: [{ ...newCondition(), kind: 'daysAvailable', not: true, days: '3' }],
  track,
})

/** What is sent of track rules; null where one of them cannot be. */
export function trackRulesOf(drafts: readonly TrackRuleDraft[]): TrackRule[] | null {
  const rules = drafts.map(({ rule, track }) => ({ rule: rule.map(conditionOf), track: track || null }))
  return rules.every(({ rule }) => ruleSchema().isValidSync(rule, { strict: true })) ? rules : null
}

/** What is wrong with the rule of one of them, by place: `[0].days`. */
export const trackRuleFaults = ({ rule }: TrackRuleDraft): Record<string, string> =>
  faultsOf(ruleSchema(), rule.map(conditionOf))
