import type { Use } from '@young-oak/core/template'
import { asSaid, Select } from '../../../ui/Select.tsx'
import { Button } from '../../../ui/Button.tsx'

type Props = {
  roles: readonly string[]
  role: Use['role']
  /** How often the slot is trained in a week, at most. */
  places: number
  onChange: (role: Use['role']) => void
}

/** In which role a slot follows its rule: always in one, or in another at each day of the week. */
export function RoleFields({ roles, role, places, onChange }: Props) {
  if (typeof role === 'string')
    return (
      <>
        <RoleSelect label="In the role" roles={roles} role={role} onChange={onChange} />
        <Button
          look="quiet"
          className="min-h-0"
          onClick={() => onChange({ byDay: firstRoles(roles, role, places) })}
        >
          One for each day of the week
        </Button>
      </>
    )
  const { byDay } = role
  return (
    <>
      {byDay.map((one, i) => (
        <RoleSelect
          key={i}
          label={`Day ${i + 1}`}
          roles={roles}
          role={one}
          onChange={(to) => onChange({ byDay: byDay.map((other, k) => (k === i ? to : other)) })}
        />
      ))}
      {byDay.length < 14 && (
        <Button
          look="quiet"
          className="min-h-0"
          onClick={() => onChange({ byDay: [...byDay, byDay[0] ?? ''] })}
        >
          Add a day
        </Button>
      )}
      {byDay.length > 1 && (
        <Button look="quiet" className="min-h-0" onClick={() => onChange({ byDay: byDay.slice(0, -1) })}>
          Remove the last day
        </Button>
      )}
      <Button look="quiet" className="min-h-0" onClick={() => onChange(byDay[0] ?? '')}>
        The same on all days
      </Button>
    </>
  )
}

/** The role that it has first, then the others in the rule's order, as many as there are places. */
const firstRoles = (roles: readonly string[], role: string, places: number): string[] => {
  const order = [role, ...roles.filter((one) => one !== role)]
  return Array.from({ length: Math.max(places, 2) }, (_, i) => order[i % order.length] as string)
}

type SelectProps = { label: string; roles: readonly string[]; role: string; onChange: (role: string) => void }

const RoleSelect = ({ label, roles, role, onChange }: SelectProps) => (
  <label className="flex items-center gap-2">
    {label}
    <Select value={role} options={asSaid(roles)} onChoose={onChange} />
  </label>
)
