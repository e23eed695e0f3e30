import { useLibrary } from '../library/useLibrary.ts'
import { useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { withOwnExercises, type Library } from '@young-oak/core/library'
import { formatIssue, parseJson } from '@young-oak/core/parsing'
import { salvageTemplate, type Template } from '@young-oak/core/template'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'

type Faults = { said: string[]; kept?: { template: Template; library: Library; leftOut: string[] } }

/** Reads a file and stores it whole; or shows where its faults are, and offers what can be kept without them. */
export function ImportFile() {
  const library = useLibrary()
  const [send, { isLoading }] = api.useImportTemplateMutation()
  const [faults, setFaults] = useState<Faults | null>(null)
  const input = useRef<HTMLInputElement>(null)
  const navigate = useNavigate()
  const store = async ({ template, library: named }: { template: Template; library: Library }) => {
    const answer = await send(withOwnExercises(named, template))
    if (answer.data) void navigate(`/templates/${answer.data.id}`)
    else setFaults({ said: [sayError(answer.error)] })
  }
  const read = async (file: File | undefined) => {
    if (!file) return
    if (file.size > 2_000_000) return setFaults({ said: ['The file is larger than 2 MB: no template is.'] })
    const parsed = parseJson(await file.text())
    if (parsed.issue) return setFaults({ said: [formatIssue(parsed.issue)] })
    const { issues, ...kept } = salvageTemplate(parsed.value, library)
    if (!issues.length && kept.template) return store(kept)
    setFaults({
      said: issues.map(formatIssue),
      ...(kept.template && { kept }),
    })
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
      {faults && (
        <div role="alert" className="mt-3 rounded border border-brick bg-brick-wash p-3 text-sm">
          <p className="font-medium">
            Nothing was saved. The file has{' '}
            {faults.said.length === 1 ? 'a fault' : `${faults.said.length} faults`}:
          </p>
          <ul className="mt-1 max-h-60 list-disc overflow-y-auto pl-5">
            {faults.said.map((fault) => (
              <li key={fault} className="break-words">
                {fault}
              </li>
            ))}
          </ul>
          {faults.kept && (
            <Kept
              kept={faults.kept}
              isBusy={isLoading}
              onTake={() => void (faults.kept && store(faults.kept))}
            />
          )}
          <Button look="quiet" onClick={() => setFaults(null)}>
            Dismiss
          </Button>
        </div>
      )}
    </div>
  )
}

type KeptProps = { kept: NonNullable<Faults['kept']>; isBusy: boolean; onTake: () => void }

/** What of the file can be kept, and what is left out of it. */
function Kept({ kept: { template, leftOut }, isBusy, onTake }: KeptProps) {
  const slots = Object.keys(template.slots).length
  return (
    <div className="mt-2 border-t border-brick pt-2">
      <p>
        The rest can be imported: {template.phases.length} {template.phases.length === 1 ? 'phase' : 'phases'}
        , {slots} {slots === 1 ? 'slot' : 'slots'}, {Object.keys(template.tracks).length} tracks, without{' '}
        {leftOut.join(', ')}.
      </p>
      <Button look="plain" className="mt-2" disabled={isBusy} onClick={onTake}>
        Import the rest
      </Button>
    </div>
  )
}
