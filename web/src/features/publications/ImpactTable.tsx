import { useState } from 'react'
import type { ImpactKind, ImpactLine, ImpactView } from '@young-oak/api/publications'
import { sayError } from '../../app/api.ts'
import { useAppSelector } from '../../app/store.ts'
import { Button } from '../../ui/Button.tsx'
import { Select, type Option } from '../../ui/Select.tsx'
import { LackingActs } from './LackingActs.tsx'
import { publicationsApi } from './publicationsApi.ts'
import { isWorthALook, sayKind, sayMember } from './sayImpact.ts'

type Props = {
  look: ImpactView
  onLeaveOut: (members: string[]) => void
  /** The template's tracks; none where it has none. */
  tracks: Option<string>[]
  onTrack: (members: string[], track: string) => void
  /** What is known of members has changed: it is to be worked out again. */
  onChanged: () => void
}

/** What publishing does to the members, worst first: each line a count that opens to names and reasons. */
export function ImpactTable(props: Props) {
  const { look } = props
  const [open, setOpen] = useState<ImpactKind | null>(null)
  return (
    <ul className="mt-2 divide-y divide-line border-y border-line">
      {look.kinds.map(({ kind, members }) => (
        <li key={kind}>
          <button
            type="button"
            aria-expanded={open === kind}
            className="flex min-h-11 w-full items-center gap-3 px-1 text-left hover:bg-leaf-wash"
            onClick={() => setOpen(open === kind ? null : kind)}
          >
            <span className="w-14 shrink-0 text-right font-medium tabular-nums">{members}</span>
            <span className={isWorthALook(kind) ? 'text-acorn' : ''}>{sayKind(kind, members)}</span>
          </button>
          {open === kind && <Looked {...props} kind={kind} />}
        </li>
      ))}
    </ul>
  )
}

function Looked({ look, kind, onLeaveOut, tracks, onTrack, onChanged }: Props & { kind: ImpactKind }) {
  const { data, error } = publicationsApi.useLookedQuery({ id: look.id, kind })
  if (error) return <p className="px-2 pb-2 text-sm text-brick">{sayError(error)}</p>
  if (!data) return <p className="px-2 pb-2 text-sm text-bark">Loading…</p>
  const all = data.map(({ id }) => id)
  const them = data.length === 1 ? 'this member' : `these ${data.length}`
  return (
    <div className="pb-3 pl-18">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Button look="quiet" className="text-sm" onClick={() => onLeaveOut(all)}>
          Leave out {them}
        </Button>
        {kind === 'needs' && <LackingActs lines={data} onChanged={onChanged} />}
        {tracks.length > 0 && (
          <Select
            aria-label={`Put ${them} on a track`}
            className="min-h-9 px-2 text-sm"
            // None of the tracks: choosing is the act.
            value="?"
            placeholder={`Put ${them} on a track`}
            options={tracks}
            onChoose={(track) => onTrack(all, track)}
          />
        )}
      </div>
      <ul className="max-h-72 overflow-y-auto" aria-label="Members">
        {data.map((line) => (
          <MemberImpact key={line.id} kind={kind} line={line} onLeaveOut={onLeaveOut} />
        ))}
      </ul>
    </div>
  )
}

type LineProps = { kind: ImpactKind; line: ImpactLine; onLeaveOut: Props['onLeaveOut'] }

/** One member: the reason in a line, and every set that changes behind it. */
function MemberImpact({ kind, line: { id, name, impact }, onLeaveOut }: LineProps) {
  const library = useAppSelector((state) => state.library.exercises)
  const [isOpen, setOpen] = useState(false)
  return (
    <li className="py-1">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-medium">{name}</span>
        <span className="grow text-sm text-bark">{sayMember(library, kind, impact)}</span>
        {impact.lines.length > 0 && (
          <button
            type="button"
            aria-expanded={isOpen}
            className="text-sm underline decoration-edge underline-offset-4"
            onClick={() => setOpen(!isOpen)}
          >
            old and new loads
          </button>
        )}
        <button
          type="button"
          aria-label={`Leave out ${name}`}
          className="text-sm underline decoration-edge underline-offset-4"
          onClick={() => onLeaveOut([id])}
        >
          leave out
        </button>
      </div>
      {isOpen && (
        <ul className="pl-4 text-sm">
          {impact.lines.map((one) => (
            <li key={`${one.week} ${one.day} ${one.lift.exercise} ${one.before} ${one.after}`}>
              {sayMember(library, 'moves', { ...impact, lines: [one], changed: 1 })}
            </li>
          ))}
          {impact.changed > impact.lines.length && (
            <li className="text-bark">and {impact.changed - impact.lines.length} more</li>
          )}
        </ul>
      )}
    </li>
  )
}
