import { NotRead } from '../../app/NotRead.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { MemberLine } from '@young-oak/api/members'
import { formatDay } from '@young-oak/core/units'
import { api } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { DataTable, type DataColumn } from '../../ui/DataTable.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { useGroupFilter, type GroupChoice } from '../groups/useGroupFilter.ts'
import { peopleApi } from '../people/peopleApi.ts'
import { AssignBar } from './AssignBar.tsx'
import { EndMemberships } from './EndMemberships.tsx'
import { ManyActs } from './ManyActs.tsx'
import { FormerMembers } from './FormerMembers.tsx'

/** Who is here and how often: attendance for owners and writers; loads open in a template, for the assigned writer. */
export default function MembersPage() {
  useTitle('Members')
  const { data: session } = api.useSessionQuery()
  const {
    data: all,
    error,
    isLoading,
    refetch,
  } = api.useMembersQuery(undefined, {
    refetchOnMountOrArgChange: true,
  })
  // A long list opens with its first page; what acts on all of it waits for the rest.
  const { data: first } = api.useFirstMembersQuery(undefined, { skip: all !== undefined })
  const data = all ?? first?.items
  const kind = session?.seat?.kind
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-6">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="text-3xl">Members</h1>
        <span className="flex gap-6">
          {kind === 'writer' && (
            <Link to="/people/groups" className={link}>
              Groups
            </Link>
          )}
          <Link to="/people" className={link}>
            Invite members
          </Link>
        </span>
      </div>
      {kind === 'writer' && (
        <p className="mt-1 text-bark">
          Open a name for the member’s maxes, “progress” for advice and check-ins, “profile” for days, minutes
          and priorities. To see a member’s loads, open a template and choose the member.
        </p>
      )}
      {isLoading && (
        <p role="status" className="mt-3 text-bark">
          {first ? `The first ${first.items.length} members; loading the others…` : 'Loading…'}
        </p>
      )}
      <NotRead error={error} onRetry={refetch} />
      {data?.length === 0 && (
        <p className="mt-6 text-bark">
          No members yet. Invite the first ones: each gets a link of their own.
        </p>
      )}
      {data && data.length > 0 && kind === 'owner' && (
        <OwnersList members={data} isWhole={all !== undefined} />
      )}
      {data && data.length > 0 && kind === 'writer' && (
        <WritersList members={data} isWhole={all !== undefined} />
      )}
      {kind === 'owner' && <FormerMembers />}
      <Toasts />
    </main>
  )
}

/** `isWhole`: everybody is among them; else the first of them by name. */
type ListProps = { members: MemberLine[]; isWhole: boolean }

/** A writer’s list: everybody, the writer’s own, or those of them who are in a group. */
function WritersList({ members, isWhole }: ListProps) {
  const [show, setShow] = useState<'all' | 'own' | GroupChoice>('all')
  const { options, isGroup, found } = useGroupFilter(show)
  const shown =
    show === 'all'
      ? members
      : members.filter(({ id, isMine }) => (show === 'own' ? isMine : found?.own.has(id)))
  return (
    <>
      <div className="mt-3 max-w-xs">
        <SelectField
          label="Show"
          value={show}
          options={[['all', 'All members'], ['own', 'Your own members'], ...options]}
          onChoose={setShow}
        />
      </div>
      {found && (
        <p className="mt-1 text-sm text-bark">
          {found.own.size} of your members
          {found.others > 0 && `; ${found.others} of other writers are in it too`}
        </p>
      )}
      {isWhole && <ManyActs members={shown.filter(({ isMine }) => isMine)} />}
      {shown.length > 0 ? (
        <DataTable label="Members" rows={shown} columns={writersColumns} keyOf={keyOf} isLong />
      ) : (
        <p className="mt-4 text-bark">
          {isGroup && !found
            ? 'Loading…'
            : isGroup
              ? 'None of your members is in this group today.'
              : 'No members are assigned to you: an owner assigns them on the Members page.'}
        </p>
      )}
    </>
  )
}

/** The owner’s list: who has which writers, and a way to change it for many at once. Those whom nobody has can be seen alone. */
function OwnersList({ members, isWhole }: ListProps) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const [isAlone, setAlone] = useState(false)
  const requests =
    peopleApi.useJoinRequestsQuery(undefined, { refetchOnMountOrArgChange: true }).data?.length ?? 0
  const alone = members.filter(({ writers }) => writers.length === 0)
  const shown = isAlone ? alone : members
  const picked = shown.filter(({ id }) => chosen.has(id))
  const none = () => setChosen(new Set())
  const ownersColumns = useMemo(() => {
    const choose = (id: string, isChosen: boolean) =>
      setChosen((before) => {
        const after = new Set(before)
        if (isChosen) after.add(id)
        else after.delete(id)
        return after
      })
    return [chosenColumn(chosen, choose), ...columns.slice(1), writersColumn]
  }, [chosen])
  return (
    <>
      {isWhole && alone.length > 0 && (
        <p className="mt-2 rounded bg-acorn-wash px-3 py-2 text-acorn">
          {alone.length === 1 ? '1 member has' : `${alone.length} members have`} no writer, and nobody can
          plan them.
        </p>
      )}
      {requests > 0 && (
        <p className="mt-2 rounded bg-acorn-wash px-3 py-2 text-acorn">
          {requests === 1 ? '1 person asks' : `${requests} people ask`} to join.{' '}
          <Link to="/people" className={link}>
            Answer on the People page
          </Link>
        </p>
      )}
      <AssignBar chosen={picked.map(({ id }) => id)} onDone={none} />
      <div className="mt-3 flex flex-wrap items-center gap-x-6 gap-y-1">
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 shrink-0 accent-leaf"
            checked={isAlone}
            onChange={({ target }) => setAlone(target.checked)}
          />
          Only members without a writer
        </label>
        <Button
          look="quiet"
          disabled={!isWhole}
          onClick={() => setChosen(new Set(shown.map(({ id }) => id)))}
        >
          Choose all {shown.length}
        </Button>
        {picked.length > 0 && (
          <Button look="quiet" onClick={none}>
            Choose none
          </Button>
        )}
        <EndMemberships chosen={picked} onDone={none} />
      </div>
      <DataTable label="Members" rows={shown} columns={ownersColumns} keyOf={keyOf} isLong />
    </>
  )
}

const keyOf = ({ id }: MemberLine): string => id
const link = 'underline decoration-edge underline-offset-4'

const columns: DataColumn<MemberLine>[] = [
  {
    id: 'name',
    title: 'Name',
    sortBy: ({ name }) => name,
    cell: ({ id, name, isMine, groups }) => (
      <>
        <span className="font-medium">
          {isMine ? (
            <Link to={`/members/${id}/maxes`} className={link}>
              {name}
            </Link>
          ) : (
            name
          )}
        </span>
        {groups.length > 0 && <span className="ml-2 text-sm text-bark">{groups.join(', ')}</span>}
      </>
    ),
  },
  {
    id: 'programs',
    title: 'Program',
    sortBy: ({ programs }) => programs.join(', '),
    cell: ({ programs }) => programs.join(', ') || 'no program',
  },
  {
    id: 'sessions',
    title: 'Sessions, this week and the 3 before',
    isNumber: true,
    sortBy: ({ sessionsIn4Weeks }) => sessionsIn4Weeks,
    cell: ({ sessionsIn4Weeks }) => sessionsIn4Weeks,
  },
  {
    id: 'last',
    title: 'Last session',
    sortBy: ({ lastSession }) => lastSession ?? '',
    cell: ({ lastSession }) => (lastSession ? formatDay(lastSession) : 'never'),
  },
]

const chosenColumn = (
  chosen: ReadonlySet<string>,
  choose: (id: string, isChosen: boolean) => void,
): DataColumn<MemberLine> => ({
  id: 'name',
  title: 'Name',
  sortBy: ({ name }) => name,
  cell: ({ id, name }) => (
    <label className="flex items-center gap-3 font-medium">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-leaf"
        checked={chosen.has(id)}
        onChange={({ target }) => choose(id, target.checked)}
      />
      {name}
    </label>
  ),
})

const writersColumn: DataColumn<MemberLine> = {
  id: 'writers',
  title: 'Writers',
  sortBy: ({ writers }) => writers.map(({ name }) => name).join(', '),
  cell: ({ writers }) =>
    writers.map(({ name }) => name).join(', ') || <span className="text-acorn">no writer</span>,
}

const progressColumn: DataColumn<MemberLine> = {
  id: 'progress',
  title: 'Open',
  cell: ({ id, name, isMine }) =>
    isMine && (
      <span className="flex gap-3">
        <Link to={`/members/${id}/progress`} aria-label={`Progress of ${name}`} className={link}>
          progress
        </Link>
        <Link to={`/members/${id}/profile`} aria-label={`Profile of ${name}`} className={link}>
          profile
        </Link>
      </span>
    ),
}

const writersColumns = [...columns, progressColumn]
