import { ruleOf } from '@young-oak/core/progressions'
import {
  formatSets,
  type Command,
  type ProgressionStage,
  type Slot,
  type SlotStage,
  type Template,
  type Use,
} from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { useLibrary } from '../../library/useLibrary.ts'
import { RoleFields } from './RoleFields.tsx'
import { SavedField } from './SavedField.tsx'
import { placesAWeek } from './slotRules.ts'
import { firstIn, ownIn, putStage, typedRow, withRole } from './slotStages.ts'

type Props = {
  draft: Template
  slotId: string
  slot: Slot
  use: Use
  stage: ProgressionStage
  put: (command: Command) => void
}

/** The sets and the role that a slot has once its lift is handed over to a later rule of its progression. */
export function StageSets({ draft, slotId, slot, use, stage, put }: Props) {
  const library = useLibrary()
  const { title, roles } = ruleOf[stage.rule]
  const own = ownIn(slot, stage.id)
  const keep = (to: SlotStage | null) => put(putStage(slotId, slot, stage.id, to))
  if (!own)
    return (
      <Button
        look="quiet"
        className="-ml-3.5 min-h-0"
        onClick={() => keep(firstIn(slot, use, stage.id, stage.rule))}
      >
        Other sets once {title} takes over
      </Button>
    )
  const { rows, role = use.role } = own
  return (
    <fieldset className="mt-1 grid gap-2">
      <legend className="font-medium">Sets once {title} takes over</legend>
      {roles.length > 1 && (
        <p className="flex flex-wrap items-center gap-3">
          <RoleFields
            roles={roles}
            role={role}
            places={placesAWeek(draft, slotId)}
            onChange={(to) => keep(withRole(own, to, stage.rule))}
          />
        </p>
      )}
      {rows.map((row, i) => (
        <SavedField
          key={i}
          label={rows.length > 1 ? `Sets on day ${i + 1}` : 'Sets then'}
          value={formatSets(library, row)}
          onSave={(typed) => {
            const made = typedRow(library, draft, slot, own, { i, typed })
            if (typeof made === 'string') return made
            keep(made)
            return undefined
          }}
        />
      ))}
      <Button look="quiet" className="-ml-3.5 min-h-0 justify-self-start" onClick={() => keep(null)}>
        Go on with the sets of the sheet
      </Button>
    </fieldset>
  )
}
