import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { ImpactTable } from './ImpactTable.tsx'
import { countOf } from './sayPublication.ts'
import type { Looking } from './useLook.ts'

type Props = { looking: Looking; members: number; onLeaveOut: (members: string[]) => void }

/** What publishing would do to everybody who is chosen, while it is worked out and after. */
export function Impact({ looking, members, onLeaveOut }: Props) {
  const { look, isCurrent, error, stop, again } = looking
  const isRunning = look?.state === 'running'
  return (
    <section aria-labelledby="impact">
      <h2 id="impact" className="text-xl">
        What it does in the next two weeks
      </h2>
      {!members && <p className="mt-1 text-bark">Choose members to see it.</p>}
      {members > 0 && (
        <p role="status" className="mt-1 flex min-h-9 flex-wrap items-center gap-x-3 text-bark">
          {error && !look ? (
            <span className="text-brick">{sayError(error)}</span>
          ) : !look ? (
            'Working it out…'
          ) : (
            `${look.looked} of ${countOf(look.members)} worked out`
          )}
          {isRunning && (
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
          {isCurrent && look && look.looked < look.members && (
            <Button look="quiet" className="text-sm" onClick={again}>
              Work out the rest
            </Button>
          )}
        </p>
      )}
      {look && look.kinds.length > 0 && <ImpactTable look={look} onLeaveOut={onLeaveOut} />}
    </section>
  )
}
