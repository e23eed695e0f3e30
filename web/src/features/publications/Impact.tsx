import type { ImpactView } from '@young-oak/api/publications'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import type { Option } from '../../ui/Select.tsx'
import { ImpactTable } from './ImpactTable.tsx'
import { countOf } from './sayPublication.ts'
import type { Looking } from './useLook.ts'

type Props = {
  looking: Looking
  members: number
  onLeaveOut: (members: string[]) => void
  tracks: Option<string>[]
  onTrack: (members: string[], track: string) => void
  /** Reads the draft again, which somebody has changed since. */
  onMoved: () => void
}

/** What publishing would do to everybody who is chosen, while it is worked out and after. */
export function Impact({ looking, members, onMoved, ...fixes }: Props) {
  const { look, isCurrent, error, stop, again } = looking
  return (
    <section aria-labelledby="impact">
      <h2 id="impact" className="text-xl">
        What it does in the next two weeks
      </h2>
      <div role="status" className="mt-1 flex min-h-9 flex-wrap items-center gap-x-3 text-bark">
        {!members && 'Choose members to see it.'}
        {members > 0 && Boolean(error) && <span className="text-brick">{sayError(error)}</span>}
        {members > 0 && !error && (look ? sayProgress(look) : 'Working it out…')}
        {look?.state === 'running' && (
          <>
            <progress
              className="w-40 accent-leaf"
              max={look.members}
              value={look.looked}
              aria-label="Members worked out"
            />
            <Button look="quiet" className="text-sm" onClick={stop}>
              Stop
            </Button>
          </>
        )}
        {look?.hasMoved ? (
          <Button look="quiet" className="text-sm" onClick={onMoved}>
            Load the changed draft
          </Button>
        ) : (
          isCurrent &&
          look &&
          look.looked < look.members && (
            <Button look="quiet" className="text-sm" onClick={again}>
              Work out the rest
            </Button>
          )
        )}
      </div>
      {look && look.kinds.length > 0 && <ImpactTable look={look} {...fixes} onChanged={again} />}
    </section>
  )
}

function sayProgress({ state, hasMoved, looked, members }: ImpactView): string {
  const done = `Worked out for ${looked} of ${countOf(members)}`
  if (hasMoved) return `${done}. The draft has changed since.`
  return state === 'failed' ? `${done}. The rest could not be worked out.` : done
}
