import { useLibrary } from '../library/useLibrary.ts'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { MaxTableLine } from '@young-oak/api/maxes'
import { compareLifts, liftKey, maxName, type Lift, type Library } from '@young-oak/core/library'
import { formatDay, formatLoad } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { BringIn } from './BringIn.tsx'
import { saveSheet } from './saveSheet.ts'

/** Members that are shown before more are asked for. */
const atOnce = 200

/** The maxes in force of all of a writer's members, side by side; in and out as a sheet. */
export default function MaxTablePage() {
  const library = useLibrary()
  const { data, error, isLoading, refetch } = api.useMaxTableQuery(today())
  const [isBringing, setBringing] = useState(false)
  const [wanted, setWanted] = useState('')
  const [shown, setShown] = useState(atOnce)
  const lifts = useMemo(() => liftsOf(library, data), [library, data])
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data) {
    return (
      <main className="p-6">
        <p className="mb-3">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  const found = data.filter(({ name }) => name.toLowerCase().includes(wanted.trim().toLowerCase()))
  const members = found.slice(0, shown)
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
      {data.length === 0 && (
        <p className="mt-6">No member is assigned to you yet: the gym’s owner assigns them.</p>
      )}
      {data.length > 0 && members.length === 0 && <p className="mt-6">No member has that name.</p>}
      {members.length > 0 && (
        <div
          className="mt-4 max-h-[75dvh] overflow-auto border-y border-line"
          tabIndex={0}
          role="region"
          aria-label="Maxes"
        >
          <table className="w-full border-separate border-spacing-0">
            <thead>
              <tr className="text-sm text-bark">
                <th className="sticky top-0 left-0 z-20 border-b border-line bg-paper py-2 pr-4 text-left font-medium">
                  Member
                </th>
                {lifts.map((lift) => (
                  <th
                    key={liftKey(lift)}
                    className="sticky top-0 z-10 border-b border-line bg-paper px-3 py-2 text-right align-bottom font-medium"
                  >
                    {maxName(library, lift)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {members.map((member) => (
                <MemberRow key={member.id} member={member} lifts={lifts} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {found.length > members.length && (
        <Button look="quiet" className="mt-2" onClick={() => setShown(shown + atOnce)}>
          Show {Math.min(atOnce, found.length - members.length)} more of {found.length}
        </Button>
      )}
      <BringIn isOpen={isBringing} onClose={() => setBringing(false)} table={data} />
      <Toasts />
    </main>
  )
}

type RowProps = { member: MaxTableLine; lifts: Lift[] }

function MemberRow({ member: { id, name, maxes }, lifts }: RowProps) {
  return (
    <tr>
      <th className="sticky left-0 border-b border-line bg-paper py-1.5 pr-4 text-left font-medium whitespace-nowrap">
        <Link to={`/members/${id}/maxes`} className="underline decoration-edge underline-offset-4">
          {name}
        </Link>
      </th>
      {lifts.map((lift) => {
        const max = maxes.find((one) => liftKey(one) === liftKey(lift))
        return (
          <td
            key={liftKey(lift)}
            className="border-b border-line px-3 py-1.5 text-right font-serif font-semibold whitespace-nowrap"
            title={max && `Of ${formatDay(max.date)}`}
          >
            {max ? (
              <>
                {max.staleWeeks !== undefined && (
                  <span className="mr-1 rounded bg-acorn-wash px-1 font-sans text-xs font-normal text-acorn">
                    {max.staleWeeks} weeks
                  </span>
                )}
                {formatLoad(max.load)}
              </>
            ) : (
              <span className="font-sans font-normal text-bark">none</span>
            )}
          </td>
        )
      })}
    </tr>
  )
}

/** The lifts that anybody has a max of, in the library's order. */
function liftsOf(library: Library, table: MaxTableLine[] | undefined): Lift[] {
  const lifts = new Map<string, Lift>()
  for (const { maxes } of table ?? []) for (const max of maxes) lifts.set(liftKey(max), max)
  return [...lifts.values()].sort(compareLifts(library))
}
