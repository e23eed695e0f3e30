import { NotRead } from '../../app/NotRead.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import type { TemplateLine } from '@young-oak/api/templates'
import { api } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { DataTable, type DataColumn } from '../../ui/DataTable.tsx'
import { ImportFile } from './ImportFile.tsx'
import { StartDialog } from './StartDialog.tsx'

/** All templates of the gym, and the ways to a new one. */
export default function TemplatesPage() {
  useTitle('Templates')
  const { data, error, isLoading, refetch } = api.useTemplatesQuery(undefined, {
    refetchOnMountOrArgChange: true,
  })
  const [isStarting, setStarting] = useState(false)
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-6">
      <div className="flex flex-wrap items-start gap-4">
        <h1 className="grow text-3xl">Templates</h1>
        <Link to="/exercises" className="self-center underline underline-offset-4 sm:hidden">
          Exercises
        </Link>
        <Button onClick={() => setStarting(true)}>New template…</Button>
        <ImportFile />
      </div>
      {isStarting && <StartDialog templates={data ?? []} onClose={() => setStarting(false)} />}
      {isLoading && <p className="mt-6 text-bark">Loading…</p>}
      <NotRead error={error} onRetry={refetch} />
      {data?.length === 0 && (
        <p className="mt-6 text-bark">
          No templates yet. Start with an empty template, or with one of ten ready-made ones.
        </p>
      )}
      {data && data.length > 0 && <DataTable label="Templates" rows={data} columns={columns} keyOf={keyOf} />}
    </main>
  )
}

const keyOf = ({ id }: TemplateLine): string => id

const columns: DataColumn<TemplateLine>[] = [
  {
    id: 'name',
    title: 'Name',
    sortBy: ({ name }) => name,
    cell: ({ id, name }) => (
      <Link
        to={`/templates/${id}`}
        className="font-serif text-lg font-semibold underline decoration-line underline-offset-4 hover:decoration-leaf"
      >
        {name}
      </Link>
    ),
  },
  {
    id: 'weeks',
    title: 'Weeks',
    isNumber: true,
    sortBy: ({ weeks }) => weeks,
    cell: ({ weeks }) => weeks,
  },
  {
    id: 'perWeek',
    title: 'Sessions a week',
    isNumber: true,
    sortBy: ({ perWeek }) => perWeek,
    cell: ({ perWeek }) => perWeek,
  },
  {
    id: 'slots',
    title: 'Exercises',
    isNumber: true,
    sortBy: ({ slots }) => slots,
    cell: ({ slots }) => slots,
  },
  {
    id: 'members',
    title: 'Members',
    isNumber: true,
    sortBy: ({ members }) => members,
    cell: ({ members }) => members,
  },
  {
    id: 'version',
    title: 'Published',
    sortBy: ({ version }) => version ?? 0,
    cell: ({ version, changedSince }) => (
      <span className="text-sm">
        {version === null ? 'Not yet' : `Version ${version}`}
        {version !== null && changedSince && <span className="text-acorn">, changed since</span>}
      </span>
    ),
  },
]
