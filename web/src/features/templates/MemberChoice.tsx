import { api } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'

type Props = {
  name: string
  chosen: string[]
  onChoose: (members: string[]) => void
  error?: string | undefined
}

/** The writer's own members, to tick; `name` is the template's, to say who is on it. */
export function MemberChoice({ name, chosen, onChoose, error }: Props) {
  const { data } = api.useMembersQuery(undefined, { refetchOnMountOrArgChange: true })
  const mine = data?.filter(({ isMine }) => isMine) ?? []
  const running = mine.filter(({ programs }) => programs.includes(name))
  const toggle = (member: string) =>
    onChoose(chosen.includes(member) ? chosen.filter((one) => one !== member) : [...chosen, member])
  const isAll = chosen.length === mine.length
  return (
    <fieldset>
      <legend className="flex w-full items-center gap-2 text-sm font-medium">
        <span className="grow">To</span>
        {running.length > 0 && (
          <Button look="quiet" className="text-sm" onClick={() => onChoose(running.map(({ id }) => id))}>
            The {running.length} on this program
          </Button>
        )}
        <Button
          look="quiet"
          className="text-sm"
          onClick={() => onChoose(isAll ? [] : mine.map(({ id }) => id))}
        >
          {isAll ? 'Nobody' : 'All my members'}
        </Button>
      </legend>
      <ul className="mt-1 max-h-44 overflow-y-auto rounded-md border border-edge p-1">
        {mine.map((member) => (
          <li key={member.id}>
            <label className="flex min-h-9 items-center gap-2 rounded px-2 hover:bg-leaf-wash">
              <input
                type="checkbox"
                className="size-4 accent-leaf"
                checked={chosen.includes(member.id)}
                onChange={() => toggle(member.id)}
              />
              <span className="grow">{member.name}</span>
              <span className="text-sm text-bark">
                {member.programs.includes(name) ? 'on this program' : member.programs.join(', ')}
              </span>
            </label>
          </li>
        ))}
        {data && mine.length === 0 && <li className="p-2 text-bark">No members are assigned to you.</li>}
      </ul>
      {error && <p className="mt-1 text-sm text-brick">{error}</p>}
    </fieldset>
  )
}
