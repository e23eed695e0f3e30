import { useState, type FormEvent } from 'react'
import type { GivenGroup } from '@young-oak/api/groups'
import { Fault } from '../../app/Fault.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { draftOf, groupFaults, groupOf, type GroupDraft } from './group.ts'
import type { Named } from './rule.ts'
import { RuleFields } from './RuleFields.tsx'

type Props = {
  group?: GivenGroup
  named: Named
  error: unknown
  isLoading: boolean
  onSave: (group: GivenGroup) => void
  onCancel?: () => void
}

/** The name of a group, and the rule of one that has a rule. */
export function GroupForm({ group, named, error, isLoading, onSave, onCancel }: Props) {
  const [draft, setDraft] = useState<GroupDraft>(() => draftOf(group))
  const [isTried, setTried] = useState(false)
  const faults = isTried ? groupFaults(draft) : {}
  const ofRule = Object.fromEntries(
    Object.entries(faults).flatMap(([path, message]) =>
      path.startsWith('rule') ? [[path.slice('rule'.length), message]] : [],
    ),
  )
  const put = (change: Partial<GroupDraft>) => setDraft({ ...draft, ...change })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    setTried(true)
    if (!Object.keys(groupFaults(draft)).length) onSave(groupOf(draft))
  }
  return (
    <form
      onSubmit={submit}
      noValidate
      aria-label={group ? `Change ${group.name}` : 'New group'}
      className="mt-3 grid max-w-xl gap-4"
    >
      <Field
        label="Name of the group"
        value={draft.name}
        error={faults.name}
        onChange={({ target }) => put({ name: target.value })}
      />
      <SelectField
        label="Members of the group"
        value={draft.by}
        options={[
          ['hand', 'chosen by hand'],
          ['rule', 'by a rule, as of today'],
        ]}
        onChoose={(by) => put({ by })}
      />
      {draft.by === 'rule' && (
        <RuleFields
          legend="A member belongs to the group if the member"
          rule={draft.rule}
          named={named}
          faults={ofRule}
          onChange={(rule) => put({ rule })}
        />
      )}
      <Fault error={error} />
      <div className="flex gap-3">
        <Button type="submit" disabled={isLoading}>
          {group ? 'Save the group' : 'Add the group'}
        </Button>
        {onCancel && (
          <Button look="plain" onClick={onCancel}>
            Cancel
          </Button>
        )}
      </div>
    </form>
  )
}
