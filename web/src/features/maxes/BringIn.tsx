import { useLibrary } from '../library/useLibrary.ts'
import { useState } from 'react'
import { toast } from '../../ui/toast.ts'
import type { MaxTableLine } from '@young-oak/api/maxes'
import { maxHeader, type MaxReading, type MaxRow } from '@young-oak/core/parsing'
import { exerciseOf, liftKey, liftName } from '@young-oak/core/library'
import { maxOf } from '@young-oak/core/facts'
import { formatDay, formatLoad, inUnit } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { useAppDispatch } from '../../app/store.ts'
import { today } from '../../app/today.ts'
import { Alert } from '../../ui/Alert.tsx'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { saySet } from './saySet.ts'
import { useSheet } from './useSheet.ts'

type Props = { isOpen: boolean; onClose: () => void; table: MaxTableLine[] }

/** Maxes from a spreadsheet, pasted or as a file: what was understood and what would change, before anything is stored. */
export function BringIn({ isOpen, onClose, table }: Props) {
  const library = useLibrary()
  const [pasted, setPasted] = useState('')
  const [file, setFile] = useState<File | null>(null)
  const source = pasted.trim() ? pasted : file
  const reading = useSheet(source, { members: table, today: today(), library })
  const close = () => {
    setFile(null)
    setPasted('')
    onClose()
  }
  const { store, sent, fault } = useStoring(close)
  return (
    <Modal title="Import maxes" isOpen={isOpen} onClose={close}>
      <p className="text-sm text-bark">
        The first line names the columns: {maxHeader.join(', ')}. Member, lift and load are required, with kg
        or lb for every load.
      </p>
      <label className="mt-3 block">
        <span className="mb-1 block text-sm font-medium">Paste from a spreadsheet</span>
        <textarea
          rows={5}
          value={pasted}
          onChange={(event) => setPasted(event.target.value)}
          className="w-full rounded-md border border-edge bg-paper p-2 font-mono text-sm"
        />
      </label>
      <label className="mt-2 block text-sm">
        <span className="mb-1 block font-medium">Or a CSV file</span>
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="block w-full"
          onChange={(event) => {
            setPasted('')
            setFile(event.target.files?.[0] ?? null)
          }}
        />
      </label>
      <div aria-live="polite" className="mt-4">
        {reading.state === 'reading' && <p>Reading… {reading.lines.toLocaleString('en')} lines so far.</p>}
        {reading.state === 'read' && (
          <>
            <Understood reading={reading.reading} table={table} />
            <Alert className="mt-3">{fault}</Alert>
            <Button
              className="mt-4"
              disabled={!reading.reading.rows.length || sent !== null}
              onClick={() => void store(reading.reading.rows)}
            >
              {sent
                ? `Storing… ${sent.done} of ${sent.of}`
                : `Store ${reading.reading.rows.length.toLocaleString('en')} ${reading.reading.rows.length === 1 ? 'max' : 'maxes'}`}
            </Button>
          </>
        )}
      </div>
    </Modal>
  )
}

/** Lines that are sent in one request. */
const atOnce = 500

/** Sends the rows some at a time; what was stored before something failed stays, and is said. */
function useStoring(onStored: () => void) {
  const [sent, setSent] = useState<{ done: number; of: number } | null>(null)
  const [fault, setFault] = useState<string>()
  const [give] = api.useGiveRowsMutation()
  const dispatch = useAppDispatch()
  const store = async (rows: MaxRow[]) => {
    setFault(undefined)
    let refused: string | undefined
    for (let done = 0; done < rows.length && refused === undefined; done += atOnce) {
      setSent({ done, of: rows.length })
      const some = rows.slice(done, done + atOnce).map(({ line: _, ...row }) => row)
      const { error } = await give({ rows: some, today: today() })
      if (error)
        refused = `${done} of ${rows.length} were stored. ${sayError(error)} Import the spreadsheet again: rows already stored are skipped.`
    }
    setSent(null)
    setFault(refused)
    dispatch(api.util.invalidateTags(['Training']))
    if (refused !== undefined) return
    toast(
      `${rows.length} ${rows.length === 1 ? 'max' : 'maxes'} stored. They are used from each member’s next session.`,
    )
    onStored()
  }
  return { store, sent, fault }
}

/** Changes that are shown; the others are counted. */
const mostShown = 200

function Understood({ reading, table }: { reading: MaxReading; table: MaxTableLine[] }) {
  const { rows, doubled, known, doubtful, issues, faults } = reading
  return (
    <>
      <p>
        <strong>{rows.length.toLocaleString('en')} to store</strong>
        {known > 0 && `, ${known.toLocaleString('en')} already stored`}
        {doubled > 0 && `, ${doubled.toLocaleString('en')} given twice`}
        {faults > 0 && `, ${faults.toLocaleString('en')} with an error`}.
      </p>
      {doubtful > 0 && (
        <p className="mt-2 rounded bg-acorn-wash px-3 py-2 text-sm text-acorn">
          {doubtful} {doubtful === 1 ? 'is' : 'are'} from a set of more than 12 reps: the formulas differ too
          much to rely on.
        </p>
      )}
      {issues.length > 0 && (
        <ul className="mt-3 max-h-48 overflow-y-auto rounded bg-brick-wash p-2 text-sm text-brick">
          {issues.map(({ line, column, expected, got, fix }, i) => (
            <li key={i}>
              Line {line}, {column}: expected {expected}; got {got}. {fix}
            </li>
          ))}
          {faults > issues.length && <li>… and {(faults - issues.length).toLocaleString('en')} more.</li>}
        </ul>
      )}
      {rows.length > 0 && (
        <div className="mt-3 max-h-64 overflow-y-auto border-y border-line">
          <table className="w-full text-sm">
            <tbody className="divide-y divide-line">
              {rows.slice(0, mostShown).map((row) => (
                <Change key={row.line} row={row} table={table} />
              ))}
            </tbody>
          </table>
          {rows.length > mostShown && (
            <p className="p-2 text-sm text-bark">
              … and {(rows.length - mostShown).toLocaleString('en')} more.
            </p>
          )}
        </div>
      )}
    </>
  )
}

/** What a line would change: the max that is in force, and the one that the line gives. */
function Change({ row, table }: { row: MaxRow; table: MaxTableLine[] }) {
  const library = useLibrary()
  const member = table.find(({ id }) => id === row.member)
  const now = member?.maxes.find((one) => liftKey(one) === liftKey(row))
  // On top of body weight the max is known only once the body is: the set is shown as it is.
  const max = exerciseOf(library, row).tool === 'body weight' ? null : maxOf(row)
  const isOlder = now !== undefined && now.date > row.date
  return (
    <tr>
      <td className="py-1 pr-2">{member?.name}</td>
      <td className="py-1 pr-2">{liftName(library, row)}</td>
      <td className="py-1 pr-2 text-bark">
        {saySet(row)}, {formatDay(row.date)}
      </td>
      <td className="py-1 text-right whitespace-nowrap">
        {now ? formatLoad(now.load) : 'none'}
        {isOlder ? ' stays' : ` → ${max ? formatLoad(now ? inUnit(max, now.load.unit) : max) : saySet(row)}`}
      </td>
    </tr>
  )
}
