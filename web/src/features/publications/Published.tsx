import { useState } from 'react'
import type { PublicationLine } from '@young-oak/api/publications'
import { daysBetween, formatDay } from '@young-oak/core/units'
import { Fault } from '../../app/Fault.tsx'
import { today } from '../../app/today.ts'
import { NotRead } from '../../app/NotRead.tsx'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { toast } from '../../ui/toast.ts'
import { Preparing } from './Preparing.tsx'
import { publicationsApi } from './publicationsApi.ts'
import { countOf } from './sayPublication.ts'

/** `preparing`: one that is followed elsewhere on the page. */
type Props = {
  template: string
  preparing: string | null
  onCorrect: (line: PublicationLine, members: string[]) => void
}

/** What was published before, with the way back. */
export function Published({ template, preparing, onCorrect }: Props) {
  const { data, error, refetch } = publicationsApi.usePublicationsQuery(template, {
    refetchOnMountOrArgChange: true,
  })
  const [taking, setTaking] = useState<PublicationLine | null>(null)
  return (
    <section className="mt-10" aria-labelledby="published">
      <h2 id="published" className="text-xl">
        Published so far
      </h2>
      <NotRead error={error} onRetry={refetch} className="mt-2" />
      {data?.length === 0 && <p className="mt-2 text-bark">Nothing yet.</p>}
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {data?.map((line) => (
          <Line
            key={line.id}
            line={line}
            isFollowed={line.id === preparing}
            onPrepared={refetch}
            onTakeBack={() => setTaking(line)}
            onCorrect={onCorrect}
          />
        ))}
      </ul>
      {taking && <TakeBack line={taking} onClose={() => setTaking(null)} />}
    </section>
  )
}

type LineProps = {
  line: PublicationLine
  isFollowed: boolean
  onPrepared: () => unknown
  onTakeBack: () => void
  onCorrect: Props['onCorrect']
}

function Line({ line, isFollowed, onPrepared, onTakeBack, onCorrect }: LineProps) {
  const [isOpen, setOpen] = useState(false)
  const [read] = publicationsApi.useLazyReachedQuery()
  const correct = async () => {
    const { data, error } = await read(line.id)
    if (data)
      onCorrect(
        line,
        data.map(({ id }) => id),
      )
    else toast.error(sayError(error))
  }
  const mayChange = line.isTheirs && line.state === 'inForce'
  return (
    <li className="py-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span className="font-medium">Version {line.version}</span>
        <button
          type="button"
          aria-expanded={isOpen}
          className="underline decoration-edge underline-offset-4"
          onClick={() => setOpen(!isOpen)}
        >
          {countOf(line.members)}
        </button>
        <span>from {formatDay(line.start)}</span>
        <span className="text-sm text-bark">
          by {line.madeBy}, {formatDay(line.madeAt.slice(0, 10))}
          {line.others === 'replace' && ', in place of their other programs'}
        </span>
        <span className="grow text-sm">{sayState(line)}</span>
        {line.state === 'preparing' && line.isTheirs && !isFollowed && (
          <Preparing id={line.id} onDone={onPrepared} />
        )}
        {mayChange && (
          <>
            <Button look="quiet" className="text-sm" onClick={() => void correct()}>
              Correct…
            </Button>
            <Button look="quiet" className="text-sm" onClick={onTakeBack}>
              Take back…
            </Button>
          </>
        )}
      </div>
      {line.note && <p className="text-sm text-bark">{line.note}</p>}
      {wasJustTakenBack(line) && <Late id={line.id} />}
      {isOpen && <Reached line={line} />}
    </li>
  )
}

/** For so many days, phones that were without signal may still send what was started. */
const daysOfLate = 30

const wasJustTakenBack = ({ state, endedOn }: PublicationLine): boolean =>
  state === 'withdrawn' && endedOn !== null && daysBetween(endedOn, today()) <= daysOfLate

/** Who has started under what was taken back, only after that. */
function Late({ id }: { id: string }) {
  const { data } = publicationsApi.usePublicationQuery(id, { refetchOnMountOrArgChange: true })
  if (!data?.late) return null
  return (
    <p className="text-sm text-acorn">
      {countOf(data.late)} {data.late === 1 ? 'has' : 'have'} started it after it was taken back. The sets are
      stored and count for maxes and records; no plan moves by them. Open the members to see who.
    </p>
  )
}

function sayState({ state, endedOn, endedBy }: PublicationLine): string {
  const when = endedOn ? ` on ${formatDay(endedOn)} by ${endedBy}` : ''
  if (state === 'withdrawn') return `taken back${when}`
  if (state === 'cancelled') return `cancelled${when}`
  return state === 'preparing' ? 'being published' : ''
}

function Reached({ line: { id, start } }: { line: PublicationLine }) {
  const { data, error } = publicationsApi.useReachedQuery(id, { refetchOnMountOrArgChange: true })
  if (error) return <p className="text-sm text-brick">{sayError(error)}</p>
  if (!data) return <p className="text-sm text-bark">Loading…</p>
  return (
    <ul className="max-h-60 columns-2 overflow-y-auto pt-1 text-sm sm:columns-3" aria-label="Published to">
      {data.map(({ id: member, name, start: own, hasStarted, lateStart }) => (
        <li key={member}>
          {name}
          <span className="text-bark">
            {own !== start && `, from ${formatDay(own)}`}
            {hasStarted && ', has started'}
            {lateStart && `, has started on ${formatDay(lateStart)}, after it was taken back`}
          </span>
        </li>
      ))}
    </ul>
  )
}

/** Says what taking back does to whom, before it is done. */
function TakeBack({ line, onClose }: { line: PublicationLine; onClose: () => void }) {
  const { data } = publicationsApi.usePublicationQuery(line.id, { refetchOnMountOrArgChange: true })
  const [takeBack, { error, isLoading }] = publicationsApi.useTakeBackPublicationMutation()
  const started = data?.started ?? 0
  const free = line.members - started
  const go = async () => {
    const answer = await takeBack(line.id)
    if (answer.error) return
    toast(
      `Version ${line.version} is taken back: ${countOf(free)} back where they were, ${started} have started and keep it.`,
    )
    onClose()
  }
  return (
    <Modal
      isOpen
      title={`Take back version ${line.version}, from ${formatDay(line.start)}`}
      about="Members who have not started go back to the program they had. Members who have started keep this version."
      onClose={onClose}
    >
      <p>
        {data
          ? `${countOf(free)} ${free === 1 ? 'goes' : 'go'} back; ${started} ${started === 1 ? 'has' : 'have'} started.`
          : 'Counting who has started…'}
      </p>
      <Fault error={error} className="mt-3" />
      <div className="mt-4 flex gap-3">
        <Button disabled={isLoading || !data} onClick={() => void go()}>
          Take back
        </Button>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </Modal>
  )
}
