import { skipToken } from '@reduxjs/toolkit/query/react'
import { useState } from 'react'
import type { MemberLine } from '@young-oak/api/members'
import type { EntriesOfMany } from '@young-oak/api/progress'
import { endReasons, type EndReason } from '@young-oak/core/facts'
import { api, fieldErrors, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { PhoneSelect } from '../../ui/Field.tsx'
import { newPause, pauseOf } from '../progress/meanwhile.ts'
import { PauseFields } from '../progress/PauseFields.tsx'
import { several } from './several.ts'

const moves = ['pause', 'end', 'track'] as const
type Move = (typeof moves)[number]
const words: Record<Move, string> = {
  pause: 'pause, or train around something',
  end: 'end the program',
  track: 'change the track',
}

/** What stands for all programs, and for the track that the writer has published. */
const all = ''
const published = ' published'

/** The same for many members at once: of all that they do, or of their runs of one program. What was entered last can be taken back here. */
export function MoveMany({ members }: { members: MemberLine[] }) {
  const programs = usePrograms(members)
  const [give, { isLoading, error }] = api.useGiveToManyMutation()
  const [takeBack, taking] = api.useTakeBackFromManyMutation()
  const [move, setMove] = useState<Move>('pause')
  const [picked, setPicked] = useState(all)
  const [draft, setDraft] = useState(newPause)
  const [reason, setReason] = useState<EndReason>('other')
  const [track, setTrack] = useState(published)
  const [done, setDone] = useState<(EntriesOfMany & { said: string }) | null>(null)
  // Only a pause may be one of everything.
  const program = programs.find(({ id }) => id === picked) ?? (move === 'pause' ? undefined : programs[0])
  const { data: template } = api.useTemplateQuery(move === 'track' && program ? program.id : skipToken)
  const tracks = Object.entries(template?.draft.tracks ?? {})
  const concerned = program
    ? members.filter(({ programs: own }) => own.includes(program.name))
    : members.filter(({ programs: own }) => own.length)
  const facts: Record<Move, object | null> = {
    pause: pauseOf(draft),
    end: program ? { kind: 'endEnrolment', reason } : null,
    track:
      program && tracks.length
        ? { kind: 'track', ...(track !== published && { track: track || null }) }
        : null,
  }
  const fact = facts[move]
  const what = program?.name ?? 'all programs'
  const isRest = draft.meanwhile === 'nothing'
  const send = async () => {
    if (!fact) return
    setDone(null)
    const { data } = await give({
      members: concerned.map(({ id }) => id),
      ...(program && { template: program.id }),
      fact,
      today: today(),
    })
    if (data) setDone({ ...data, said: sayDone(move, isRest, what, data) })
  }
  const undo = async () => {
    if (!done) return
    const answer = await takeBack({ rows: done.rows, today: today() })
    if (!answer.error) setDone(null)
  }
  const fault = fieldErrors(error)
  if (!programs.length && !done) return <p className="text-sm text-bark">None of them is on a program.</p>
  return (
    <form
      noValidate
      className="grid items-start gap-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault()
        void send()
      }}
    >
      <PhoneSelect
        label="What to do for many"
        value={move}
        onChange={({ target }) => setMove(target.value as Move)}
      >
        {moves.map((one) => (
          <option key={one} value={one}>
            {words[one]}
          </option>
        ))}
      </PhoneSelect>
      <PhoneSelect
        label="Program"
        value={program?.id ?? all}
        onChange={({ target }) => setPicked(target.value)}
      >
        {move === 'pause' && <option value={all}>all programs</option>}
        {programs.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </PhoneSelect>
      {move === 'pause' && <PauseFields draft={draft} error={fault.to} onChange={setDraft} />}
      {move === 'end' && (
        <PhoneSelect
          label="Why it ends"
          value={reason}
          onChange={({ target }) => setReason(target.value as EndReason)}
        >
          {endReasons.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </PhoneSelect>
      )}
      {move === 'track' && template && !tracks.length && (
        <p className="text-sm text-bark sm:col-span-2">This template has no tracks.</p>
      )}
      {move === 'track' && tracks.length > 0 && (
        <PhoneSelect
          label="Track for many"
          value={track}
          hint="From the next plan week on."
          onChange={({ target }) => setTrack(target.value)}
        >
          <option value={published}>back to the published track</option>
          <option value="">as written</option>
          {tracks.map(([id, { name }]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </PhoneSelect>
      )}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 sm:col-span-2">
        <Button
          type="submit"
          look="plain"
          className="min-h-11"
          disabled={isLoading || !fact || !concerned.length}
        >
          {sayMove(move, isRest, `${what} for ${several(concerned.length)}`)}
        </Button>
        <p role="status" className="text-sm">
          {done?.said}
        </p>
        {done && done.rows.length > 0 && (
          <Button look="quiet" className="text-sm" disabled={taking.isLoading} onClick={() => void undo()}>
            Take it back
          </Button>
        )}
        {error && !fault.to && <p className="text-brick">{sayError(error)}</p>}
        {taking.error && <p className="text-brick">{sayError(taking.error)}</p>}
      </div>
    </form>
  )
}

/** The templates that some of these members are on. */
function usePrograms(members: MemberLine[]): { id: string; name: string }[] {
  const { data: templates = [] } = api.useTemplatesQuery()
  const on = new Set(members.flatMap(({ programs }) => programs))
  return templates.filter(({ name, members: count }) => count > 0 && on.has(name))
}

function sayMove(move: Move, isRest: boolean, of: string): string {
  if (move === 'end') return `End ${of}`
  if (move === 'track') return `Change the track of ${of}`
  return isRest ? `Pause ${of}` : `Go on with this change in ${of}`
}

/** What was entered, and of how many: some may have left the program meanwhile. */
function sayDone(move: Move, isRest: boolean, what: string, { rows }: EntriesOfMany): string {
  const members = new Set(rows.map(({ member }) => member)).size
  if (!members) return 'None of them is on it any more: nothing was saved.'
  const done = { pause: isRest ? 'Paused' : 'Changed', end: 'Ended', track: 'Track changed' }[move]
  return `${done}: ${what} for ${several(members)}.`
}
