import { useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { formatIssue, parseJson } from '@young-oak/core/reading'
import { api, fieldErrors, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'

/** All templates of the gym, and the door for a template file. */
export default function TemplatesPage() {
  const { data, error, isLoading, refetch } = api.useTemplatesQuery(undefined, {
    refetchOnMountOrArgChange: true,
  })
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-6">
      <div className="flex flex-wrap items-start gap-4">
        <h1 className="grow text-3xl">Templates</h1>
        <ImportFile />
      </div>
      {isLoading && <p className="mt-6 text-bark">Loading …</p>}
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
          None yet. Import a template file: docs/template-format.md says how one is written, and core/fixtures
          holds examples.
        </p>
      )}
      {data && data.length > 0 && (
        <table className="mt-6 w-full">
          <thead className="text-left text-sm text-bark">
            <tr>
              <th className="py-2 font-medium">Name</th>
              <th className="py-2 text-right font-medium">Weeks</th>
              <th className="py-2 text-right font-medium">Sessions a week</th>
              <th className="py-2 text-right font-medium">Slots</th>
              <th className="py-2 text-right font-medium">Members</th>
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
      )}
    </main>
  )
}

/** Reads a file and stores it whole, or shows where its faults are and stores nothing. */
function ImportFile() {
  const [send, { isLoading }] = api.useImportTemplateMutation()
  const [faults, setFaults] = useState<string[]>([])
  const input = useRef<HTMLInputElement>(null)
  const navigate = useNavigate()
  const read = async (file: File | undefined) => {
    if (!file) return
    const parsed = parseJson(await file.text())
    if (parsed.issue) return setFaults([formatIssue(parsed.issue)])
    const answer = await send(parsed.value as object)
    if (answer.data) return void navigate(`/templates/${answer.data.id}`)
    const located = Object.values(fieldErrors(answer.error))
    setFaults(located.length ? located : [sayError(answer.error)])
  }
  return (
    <div className="max-w-xl">
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Template file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          void read(event.target.files?.[0])
          event.target.value = ''
        }}
      />
      <Button look="plain" disabled={isLoading} onClick={() => input.current?.click()}>
        Import a template file
      </Button>
      {faults.length > 0 && (
        <div role="alert" className="mt-3 rounded border border-brick bg-brick-wash p-3 text-sm">
          <p className="font-medium">
            Nothing was saved. The file has {faults.length === 1 ? 'a fault' : `${faults.length} faults`}:
          </p>
          <ul className="mt-1 max-h-60 list-disc overflow-y-auto pl-5">
            {faults.map((fault) => (
              <li key={fault} className="break-words">
                {fault}
              </li>
            ))}
          </ul>
          <Button look="quiet" onClick={() => setFaults([])}>
            Dismiss
          </Button>
        </div>
      )}
    </div>
  )
}
