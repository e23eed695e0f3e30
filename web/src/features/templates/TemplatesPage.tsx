import { useState } from 'react'
import { Link } from 'react-router'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { ImportFile } from './ImportFile.tsx'
import { StartDialog } from './StartDialog.tsx'

/** All templates of the gym, and the ways to a new one. */
export default function TemplatesPage() {
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
      {error && (
        <p role="alert" className="mt-6">
          {sayError(error)}{' '}
          <Button look="quiet" onClick={() => void refetch()}>
            Try again
          </Button>
        </p>
      )}
      {data?.length === 0 && (
        <p className="mt-6 text-bark">
          No templates yet. Start with an empty template, or with one of ten ready-made ones.
        </p>
      )}
      {data && data.length > 0 && (
        <div className="mt-6 overflow-x-auto">
          <table className="w-full">
            <thead className="text-left text-sm text-bark">
              <tr>
                <th className="py-2 font-medium">Name</th>
                <th className="py-2 pl-3 text-right font-medium">Weeks</th>
                <th className="py-2 pl-3 text-right font-medium">Sessions a week</th>
                <th className="py-2 pl-3 text-right font-medium">Exercises</th>
                <th className="py-2 pl-3 text-right font-medium">Members</th>
                <th className="py-2 pl-6 font-medium">Published</th>
              </tr>
            </thead>
            <tbody className="divide-y divide-line border-y border-line">
              {data.map(({ id, name, weeks, perWeek, slots, members, version, changedSince }) => (
                <tr key={id}>
                  <td className="py-3">
                    <Link
                      to={`/templates/${id}`}
                      className="font-serif text-lg font-semibold underline decoration-line underline-offset-4 hover:decoration-leaf"
                    >
                      {name}
                    </Link>
                  </td>
                  <td className="py-3 text-right">{weeks}</td>
                  <td className="py-3 text-right">{perWeek}</td>
                  <td className="py-3 text-right">{slots}</td>
                  <td className="py-3 text-right">{members}</td>
                  <td className="py-3 pl-6 text-sm">
                    {version === null ? 'Not yet' : `Version ${version}`}
                    {version !== null && changedSince && <span className="text-acorn">, changed since</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </main>
  )
}
