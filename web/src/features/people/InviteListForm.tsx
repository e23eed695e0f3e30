import { useId, useMemo, useRef, useState } from 'react'
import type { InvitationLink } from '@young-oak/api/people'
import { Fault } from '../../app/Fault.tsx'
import { Button } from '../../ui/Button.tsx'
import { peopleApi } from './peopleApi.ts'
import { readInvites, textOf, type InviteLine, type Writer } from './readInvites.ts'

const largest = 1_000_000
type Props = { writers: Writer[]; onInvited: (links: InvitationLink[]) => void }

/** Invites a pasted list or a CSV file: what was read is shown first, line by line, and what cannot be taken stays to be mended. */
export function InviteListForm({ writers, onInvited }: Props) {
  const [text, setText] = useState('')
  const [tooLarge, setTooLarge] = useState(false)
  const [invite, { error, isLoading }] = peopleApi.useInviteMutation()
  const list = useMemo(() => readInvites(text, writers), [text, writers])
  const { lines, fault } = list
  const people = lines.flatMap((one) => one.invite ?? [])
  const left = lines.filter((one) => !one.invite)
  const id = useId()
  const send = async () => {
    const { data } = await invite({ people })
    if (!data) return
    onInvited(data)
    setText(textOf(list))
  }
  const open = async (file: File | undefined) => {
    if (!file) return
    setTooLarge(file.size > largest)
    if (file.size <= largest) setText(await file.text())
  }
  return (
    <section>
      <h2 className="text-xl">Invite a list</h2>
      <label htmlFor={id} className="mt-3 block text-sm font-medium">
        People, one a line
      </label>
      <p id={`${id}-hint`} className="text-sm text-bark">
        Name, e-mail address, role, writer: paste cells of a spreadsheet, or open a CSV file. The name is
        enough.
      </p>
      <textarea
        id={id}
        aria-describedby={`${id}-hint`}
        value={text}
        rows={6}
        spellCheck={false}
        onChange={({ target }) => {
          setTooLarge(false)
          setText(target.value)
        }}
        className="mt-1 w-full rounded-md border border-edge bg-sheet px-3 py-2 text-ink"
      />
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <OpenFile onFile={(file) => void open(file)} />
        <Button disabled={isLoading || !people.length || fault !== undefined} onClick={() => void send()}>
          {sayMake(people.length)}
        </Button>
      </div>
      {(fault ?? tooLarge) && (
        <p role="alert" className="mt-2 text-brick">
          {tooLarge ? 'The file is larger than 1 MB: no list of people is.' : fault}
        </p>
      )}
      <Fault error={error} className="mt-2" />
      {left.length > 0 && <Faults lines={left} />}
      {people.length > 0 && <Preview lines={lines.filter((one) => one.invite)} writers={writers} />}
    </section>
  )
}

const sayMake = (n: number): string =>
  n === 0 ? 'Make invitations' : n === 1 ? 'Make 1 invitation' : `Make ${n} invitations`

function OpenFile({ onFile }: { onFile: (file: File | undefined) => void }) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        aria-label="List of people"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          onFile(event.target.files?.[0])
          event.target.value = ''
        }}
      />
      <Button look="plain" onClick={() => input.current?.click()}>
        Open a CSV file
      </Button>
    </>
  )
}

const Faults = ({ lines }: { lines: InviteLine[] }) => (
  <div role="alert" className="mt-3 rounded border border-brick bg-brick-wash p-3 text-sm">
    <p className="font-medium">
      {lines.length === 1 ? '1 line is not invited' : `${lines.length} lines are not invited`} until mended:
    </p>
    <ul className="mt-1 max-h-48 list-disc overflow-y-auto pl-5">
      {lines.map(({ line, faults }) => (
        <li key={line}>
          Line {line}: {faults.join(' ')}
        </li>
      ))}
    </ul>
  </div>
)

const Preview = ({ lines, writers }: { lines: InviteLine[]; writers: Writer[] }) => (
  <div
    className="mt-3 max-h-64 overflow-y-auto border-y border-line"
    tabIndex={0}
    role="region"
    aria-label="Preview"
  >
    <table className="w-full text-left text-sm">
      <thead className="text-bark">
        <tr>
          {['Line', 'Name', 'E-mail', 'Role', 'Writer'].map((head) => (
            <th key={head} scope="col" className="py-1 pr-3 font-medium">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map(({ line, invite }) => (
          <tr key={line} className="border-t border-line">
            <td className="py-1 pr-3">{line}</td>
            <td className="py-1 pr-3">{invite?.name}</td>
            <td className="py-1 pr-3">{invite?.email ?? 'none'}</td>
            <td className="py-1 pr-3">{invite?.role}</td>
            <td className="py-1 pr-3">
              {writers.find(({ id }) => invite?.writers?.includes(id))?.name ?? 'none'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
)
