import type { MemberLine } from '@young-oak/api/members'

type Props = {
  members: MemberLine[]
  picked: ReadonlySet<string>
  onPick: (member: MemberLine, isPicked: boolean) => void
  /** What stands beside a name. */
  beside?: (member: MemberLine) => string
  /** What is said where there is nobody, and how to find those who are not drawn. */
  nobody: string
  others: string
}

/** More are not drawn at once. */
const mostShown = 300

/** Members to be ticked one by one. */
export const CheckList = ({ members, picked, onPick, beside, nobody, others }: Props) => (
  <ul
    aria-label="Members"
    className="mt-1 max-h-[28rem] min-h-24 overflow-y-auto rounded-md border border-edge p-1"
  >
    {members.slice(0, mostShown).map((member) => (
      <li key={member.id}>
        <label className="flex min-h-9 items-center gap-2 rounded px-2 hover:bg-leaf-wash">
          <input
            type="checkbox"
            className="size-4 shrink-0 accent-leaf"
            checked={picked.has(member.id)}
            onChange={({ target }) => onPick(member, target.checked)}
          />
          <span className="grow">{member.name}</span>
          {beside && <span className="text-sm text-bark">{beside(member)}</span>}
        </label>
      </li>
    ))}
    {members.length > mostShown && (
      <li className="p-2 text-sm text-bark">
        {members.length - mostShown} more: {others}
      </li>
    )}
    {members.length === 0 && <li className="p-2 text-bark">{nobody}</li>}
  </ul>
)
