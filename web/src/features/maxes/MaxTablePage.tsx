import { useTitle } from '../../app/useTitle.ts'
import { useLibrary } from '../library/useLibrary.ts'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { MaxTableLine } from '@young-oak/api/maxes'
import { compareLifts, liftKey, maxName, type Lift, type Library } from '@young-oak/core/library'
import { formatDay, formatLoad, inUnit } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { DataTable, type DataColumn } from '../../ui/DataTable.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { BringIn } from './BringIn.tsx'
import { saveSheet } from './saveSheet.ts'

/** The maxes in force of all of a writer's members, side by side; in and out as a sheet. */
export default function MaxTablePage() {
  useTitle('Maxes of your members')
  const library = useLibrary()
  const { data, error, isLoading, refetch } = api.useMaxTableQuery(today())
  const [isBringing, setBringing] = useState(false)
  const [wanted, setWanted] = useState('')
  const columns = useMemo(
    () => [memberColumn, ...liftsOf(library, data).map((lift) => columnOf(library, lift))],
    [library, data],
  )
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data) {
    return (
      <main className="p-6">
        <p className="mb-3">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  const members = data.filter(({ name }) => name.toLowerCase().includes(wanted.trim().toLowerCase()))
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6">
      <header className="flex flex-wrap items-end gap-3">
        <h1 className="mr-auto text-3xl">Maxes of your members</h1>
        <input
          aria-label="Find a member"
          placeholder="Find a member"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          className="h-11 rounded-md border border-edge bg-sheet px-3"
        />
        <Button look="plain" className="min-h-11" onClick={() => setBringing(true)}>
          Import from a spreadsheet
        </Button>
        <Button look="plain" className="min-h-11" onClick={() => saveSheet(library, data)}>
          Export as CSV
        </Button>
      </header>
      <p className="mt-1 text-bark">
        In use on {formatDay(today())}. Marked maxes are too old to trust. Open a name for the member’s
        history.
      </p>
      {data.length === 0 && <p className="mt-6">No members are assigned to you.</p>}
      {data.length > 0 && members.length === 0 && <p className="mt-6">No member has that name.</p>}
      {members.length > 0 && (
        <DataTable label="Maxes" rows={members} columns={columns} keyOf={keyOf} isLong />
      )}
      <BringIn isOpen={isBringing} onClose={() => setBringing(false)} table={data} />
      <Toasts />
    </main>
  )
}

const keyOf = ({ id }: MaxTableLine): string => id

const memberColumn: DataColumn<MaxTableLine> = {
  id: 'member',
  title: 'Member',
  sortBy: ({ name }) => name,
  cell: ({ id, name }) => (
    <Link
      to={`/members/${id}/maxes`}
      className="font-medium whitespace-nowrap underline decoration-edge underline-offset-4"
    >
      {name}
    </Link>
  ),
}

/** The members' maxes of a lift; sorted in kilograms, shown in each one's unit. */
const columnOf = (library: Library, lift: Lift): DataColumn<MaxTableLine> => {
  const maxOf = ({ maxes }: MaxTableLine) => maxes.find((one) => liftKey(one) === liftKey(lift))
  return {
    id: liftKey(lift),
    title: maxName(library, lift),
    isNumber: true,
    sortBy: (line) => {
      const max = maxOf(line)
      return max ? inUnit(max.load, 'kg').value : -1
    },
    cell: (line) => <Max max={maxOf(line)} />,
  }
}

function Max({ max }: { max: MaxTableLine['maxes'][number] | undefined }) {
  if (!max) return <span className="text-bark">none</span>
  return (
    <span className="font-serif font-semibold whitespace-nowrap" title={`Of ${formatDay(max.date)}`}>
      {max.staleWeeks !== undefined && (
        <span className="mr-1 rounded bg-acorn-wash px-1 font-sans text-xs font-normal text-acorn">
          {max.staleWeeks} weeks
        </span>
      )}
      {formatLoad(max.load)}
    </span>
  )
}

/** The lifts that anybody has a max of, in the library's order. */
function liftsOf(library: Library, table: MaxTableLine[] | undefined): Lift[] {
  const lifts = new Map<string, Lift>()
  for (const { maxes } of table ?? []) for (const max of maxes) lifts.set(liftKey(max), max)
  return [...lifts.values()].sort(compareLifts(library))
}
