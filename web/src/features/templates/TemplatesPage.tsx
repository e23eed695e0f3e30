import { NotRead } from '../../app/NotRead.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import type { TemplateLine } from '@young-oak/api/templates'
import { api } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { DataTable, type DataColumn } from '../../ui/DataTable.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { ImportFile } from './ImportFile.tsx'
import { StartDialog } from './StartDialog.tsx'
import { TemplateActs } from './TemplateActs.tsx'

type Show = 'current' | 'own' | 'archived'

const fits: Record<Show, (line: TemplateLine) => boolean> = {
  current: ({ isArchived }) => !isArchived,
  own: ({ isArchived, mayEdit }) => !isArchived && mayEdit,
  archived: ({ isArchived }) => isArchived,
}

/** All templates of the gym; for writers, the ways to a new one. */
export default function TemplatesPage() {
  useTitle('Templates')
  const { data, error, isLoading, refetch } = api.useTemplatesQuery(undefined, {
    refetchOnMountOrArgChange: true,
  })
  const writes = api.useSessionQuery().data?.seat?.kind === 'writer'
  const [isStarting, setStarting] = useState(false)
  const [show, setShow] = useState<Show>('current')
  const shown = data?.filter(fits[show]) ?? []
  return (
    <main className="mx-auto w-full max-w-6xl px-4 py-6">
      <div className="flex flex-wrap items-start gap-4">
        <h1 className="grow text-3xl">Templates</h1>
        <Link to="/exercises" className="self-center underline underline-offset-4 sm:hidden">
          Exercises
        </Link>
        {writes && (
          <>
            <Button onClick={() => setStarting(true)}>New template…</Button>
            <ImportFile />
          </>
        )}
      </div>
      {isStarting && (
        <StartDialog templates={data?.filter(fits.current) ?? []} onClose={() => setStarting(false)} />
      )}
      {isLoading && <p className="mt-6 text-bark">Loading…</p>}
      <NotRead error={error} onRetry={refetch} />
      {data?.length === 0 && (
        <p className="mt-6 text-bark">
          {writes
            ? 'No templates yet. Start with an empty template, or with one of ten ready-made ones.'
            : 'No templates yet. Writers make them; say under People who writes.'}
        </p>
      )}
      {data && data.length > 0 && (
        <div className="mt-3 max-w-xs">
          <SelectField
            label="Show"
            value={show}
            options={[
              ['current', 'Current templates'],
              ...(writes ? [['own', 'Templates you may edit'] as const] : []),
              ['archived', 'Archived templates'],
            ]}
            onChoose={setShow}
          />
        </div>
      )}
      {shown.length > 0 && (
        <DataTable label="Templates" rows={shown} columns={writes ? columns : toRead} keyOf={keyOf} />
      )}
      {data && data.length > 0 && !shown.length && (
        <p className="mt-4 text-bark">
          {show === 'archived' ? 'No template is archived.' : 'No template here: choose others to show.'}
        </p>
      )}
      <Toasts />
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
    id: 'author',
    title: 'Author',
    sortBy: ({ author }) => author ?? '',
    cell: ({ author }) => <span className="text-sm">{author ?? 'no longer here'}</span>,
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
    cell: ({ id, version, changedSince }) => (
      <span className="text-sm">
        {version === null ? (
          'Not yet'
        ) : (
          <Link
            to={`/templates/${id}/publish#published`}
            className="underline decoration-edge underline-offset-4"
          >
            Version {version}
          </Link>
        )}
        {version !== null && changedSince && <span className="text-acorn">, changed since</span>}
      </span>
    ),
  },
  { id: 'acts', title: 'Actions', cell: (line) => <TemplateActs line={line} /> },
]

const forWriters = ['perWeek', 'slots']

/** For those who do not write: whose each is and who is on it, without ways into the workbench. */
const toRead: DataColumn<TemplateLine>[] = columns
  .filter(({ id }) => !forWriters.includes(id))
  .map((column) => {
    if (column.id === 'name')
      return {
        ...column,
        cell: ({ name }) => <span className="font-serif text-lg font-semibold">{name}</span>,
      }
    if (column.id !== 'version') return column
    return {
      ...column,
      cell: ({ version }) => (
        <span className="text-sm">{version === null ? 'Not yet' : `Version ${version}`}</span>
      ),
    }
  })
